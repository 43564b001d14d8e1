<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The body of a request as it was sent, for what the inbox reads field by field. */
final class JsonBody
{
    /** @return array<mixed> */
    public static function of(Request $request): array
    {
        $body = json_decode($request->getContent(), true, 64);

        return is_array($body) ? $body : [];
    }

    /**
     * @return non-empty-list<mixed>
     *
     * @throws ValidationException where there is no such list, or it is empty or too long
     */
    public static function list(Request $request, string $name, int $most, string $otherwise): array
    {
        $items = self::of($request)[$name] ?? null;

        return is_array($items) && array_is_list($items) && $items !== [] && count($items) <= $most
            ? $items
            : throw ValidationException::withMessages([$name => __($otherwise)]);
    }
}
