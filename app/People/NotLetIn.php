<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Validation\ValidationException;

/** A link that lets nobody in: it was used, is too old, or never was one. */
final class NotLetIn
{
    public static function because(string $code): ValidationException
    {
        return ValidationException::withMessages(['link' => __("people.{$code}")]);
    }
}
