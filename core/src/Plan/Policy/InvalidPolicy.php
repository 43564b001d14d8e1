<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\CoreException;

final class InvalidPolicy extends CoreException
{
    private function __construct(
        /** Worded under `policy.<fault>` in lang/en. */
        public readonly string $fault,
        public readonly string $said,
    ) {
        parent::__construct("{$fault}: {$said}");
    }

    public static function share(float $share): self
    {
        return new self('share', (string) $share);
    }

    public static function looks(int $looks): self
    {
        return new self('looks', (string) $looks);
    }

    public static function unknown(string $said): self
    {
        return new self('unknown', $said);
    }

    public static function noSlot(): self
    {
        return new self('no_slot', '');
    }
}
