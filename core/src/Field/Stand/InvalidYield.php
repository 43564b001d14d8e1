<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Stand;

use Ustrel\Core\CoreException;

/** What is no yield curve. Worded under `yield.<fault>`. */
final class InvalidYield extends CoreException
{
    private function __construct(
        public readonly string $fault,
        public readonly string $said,
    ) {
        parent::__construct("{$fault}: {$said}");
    }

    public static function because(string $fault, string $said): self
    {
        return new self($fault, $said);
    }
}
