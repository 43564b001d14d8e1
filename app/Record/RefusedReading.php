<?php

declare(strict_types=1);

namespace App\Record;

use RuntimeException;
use Ustrel\Core\Measure\Unreadable;

/** A reading that cannot be kept, with the reason in the technician's words. */
final class RefusedReading extends RuntimeException
{
    /** @param  array<string, string|int>  $with */
    public static function because(string $code, array $with = []): self
    {
        return new self(__("refused.{$code}", $with));
    }

    public static function unreadable(Unreadable $unreadable): self
    {
        return new self(__($unreadable->wordKey(), ['typed' => $unreadable->typed()]));
    }
}
