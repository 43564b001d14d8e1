<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

use Ustrel\Core\CoreException;

final class UnreadableLog extends CoreException
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
