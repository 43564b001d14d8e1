<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

use Ustrel\Core\CoreException;

final class InvalidGroup extends CoreException
{
    private function __construct(
        string $message,
        public readonly string $fault,
        public readonly string $name,
        public readonly int $row = 0,
    ) {
        parent::__construct($message);
    }

    public static function few(string $name): self
    {
        return new self("“{$name}” is shared by two rows or more.", 'few', $name);
    }

    public static function row(string $name, int $row, int $of): self
    {
        return new self("“{$name}” names row {$row}; the planter has rows 1 to {$of}.", 'row', $name, $row);
    }
}
