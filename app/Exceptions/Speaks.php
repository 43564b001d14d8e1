<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Gives the API's refusals a message that a technician can act on, and never a stack trace. */
final class Speaks
{
    /** Those that bring their own words. */
    private const SPOKEN = [ValidationException::class, HttpResponseException::class, AuthorizationException::class];

    private const NO_ROOM = '/No space left on device|out of free disk space|SQLSTATE\[53100\]/';

    private const WORDS = [
        401 => 'error.signed_out',
        404 => 'error.not_found',
        // The session that the page was loaded with has ended.
        419 => 'error.signed_out',
        429 => 'error.too_many',
        500 => 'error.fault',
        503 => 'error.busy',
        507 => 'error.no_room',
    ];

    public static function inTheTechniciansWords(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(
            static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson(),
        );
        $exceptions->render(static fn (Throwable $e, Request $request): ?JsonResponse => self::answer($e, $request));
    }

    private static function answer(Throwable $e, Request $request): ?JsonResponse
    {
        if (! $request->is('api/*') || in_array($e::class, self::SPOKEN, true)) {
            return null;
        }
        $status = match (true) {
            $e instanceof AuthenticationException => 401,
            $e instanceof HttpExceptionInterface => $e->getStatusCode(),
            // Of the database, or of a file; not for ever, so that what waits on a device goes on waiting.
            preg_match(self::NO_ROOM, $e->getMessage()) === 1 => 507,
            default => 500,
        };
        $words = self::WORDS[$status] ?? null;
        if ($words === null || ($status === 500 && config('app.debug'))) {
            return null;
        }

        return new JsonResponse(['message' => __($words)], $status, $e instanceof HttpExceptionInterface ? $e->getHeaders() : []);
    }
}
