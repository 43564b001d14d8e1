<?php

declare(strict_types=1);

namespace App\Record\Import;

use RuntimeException;

/** A line that cannot be imported, with the reason in the technician's words. */
final class RefusedLine extends RuntimeException
{
    /** @param  array<string, string|int>  $with */
    public static function because(string $code, array $with = []): self
    {
        return self::of(__("import.{$code}", $with));
    }

    public static function of(string $message): self
    {
        return new self($message);
    }
}
