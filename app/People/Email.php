<?php

declare(strict_types=1);

namespace App\People;

use Normalizer;

/** Email addresses as they are kept, looked up and counted: one address, one spelling. */
final class Email
{
    public static function normal(string $typed): string
    {
        $normal = Normalizer::normalize($typed, Normalizer::FORM_KC);

        return mb_strtolower(trim($normal === false ? $typed : $normal));
    }
}
