<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Record\HiddenMarks;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JsonException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Turns away what nobody can read, before anybody tries: JSON that breaks off, text that is not UTF-8 or has characters in it
 * that cannot be seen (control characters, marks that turn the direction of writing), numbers beyond all measure. What comes through is text, numbers, lists and fields of finite size.
 */
final class ReadsStrictly
{
    /** Deeper than this no body of the API goes. */
    private const DEPTH = 32;

    public function handle(Request $request, Closure $next): Response
    {
        if (! self::isText(rawurldecode($request->getPathInfo())) || ! self::isReadable($request->query->all())) {
            return self::refused('error.not_text', 422);
        }
        if ($request->isJson() && $request->getContent() !== '') {
            try {
                $body = json_decode($request->getContent(), true, self::DEPTH, JSON_THROW_ON_ERROR);
            } catch (JsonException) {
                return self::refused('error.not_json', 400);
            }
            if (! is_array($body)) {
                return self::refused('error.not_json', 400);
            }

            return self::isReadable($body) ? $next($request) : self::refused('error.not_text', 422);
        }

        return self::isReadable($request->request->all()) ? $next($request) : self::refused('error.not_text', 422);
    }

    /** @param  array<mixed>  $values */
    private static function isReadable(array $values): bool
    {
        foreach ($values as $key => $value) {
            $isReadable = match (true) {
                is_array($value) => self::isReadable($value),
                is_string($value) => self::isText($value),
                is_float($value) => is_finite($value),
                default => true,
            };
            if (! $isReadable || (is_string($key) && ! self::isText($key))) {
                return false;
            }
        }

        return true;
    }

    private static function isText(string $text): bool
    {
        return mb_check_encoding($text, 'UTF-8') && ! HiddenMarks::in($text);
    }

    private static function refused(string $code, int $status): JsonResponse
    {
        return new JsonResponse(['message' => __($code)], $status);
    }
}
