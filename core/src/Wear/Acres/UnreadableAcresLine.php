<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use Ustrel\Core\CoreException;

/** A line of acres that cannot be read. Worded under `acres_line.<fault>`. */
final class UnreadableAcresLine extends CoreException
{
    private function __construct(
        public readonly string $fault,
        public readonly string $typed,
    ) {
        parent::__construct("{$fault}: {$typed}");
    }

    public static function because(string $fault, string $typed): self
    {
        return new self($fault, $typed);
    }
}
