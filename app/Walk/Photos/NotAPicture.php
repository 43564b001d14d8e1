<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use RuntimeException;

/** A file that is not kept as a photo, with the reason in the technician's words. */
final class NotAPicture extends RuntimeException
{
    public static function because(string $code): self
    {
        return new self(__("photo.{$code}"));
    }
}
