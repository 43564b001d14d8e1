<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** Gives the API's refusals a message that a technician can act on, and never a stack trace. */
final class Speaks
{
    public static function inTheTechniciansWords(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(
            static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson(),
        );
        $exceptions->render(static fn (AuthenticationException $e, Request $request): ?JsonResponse => self::say($request, 401, 'error.signed_out'));
        $exceptions->render(static fn (ThrottleRequestsException $e, Request $request): ?JsonResponse => self::say($request, 429, 'error.too_many', $e->getHeaders()));
        $exceptions->render(static fn (NotFoundHttpException $e, Request $request): ?JsonResponse => self::say($request, 404, 'error.not_found'));
        $exceptions->render(static function (HttpException $e, Request $request): ?JsonResponse {
            // 419: the session that the page was loaded with has ended.
            return $e->getStatusCode() === 419 ? self::say($request, 419, 'error.signed_out') : null;
        });
        $exceptions->render(static function (Throwable $e, Request $request): ?JsonResponse {
            if (config('app.debug') || $e instanceof HttpExceptionInterface || ! $request->is('api/*')) {
                return null;
            }

            return in_array($e::class, self::HANDLED_BY_LARAVEL, true) ? null : self::say($request, 500, 'error.fault');
        });
    }

    private const HANDLED_BY_LARAVEL = [
        \Illuminate\Validation\ValidationException::class,
        \Illuminate\Http\Exceptions\HttpResponseException::class,
    ];

    /** @param array<string, mixed> $headers */
    private static function say(Request $request, int $status, string $key, array $headers = []): ?JsonResponse
    {
        return $request->is('api/*') ? new JsonResponse(['message' => __($key)], $status, $headers) : null;
    }
}
