<?php

declare(strict_types=1);

namespace App\Parts;

/** Shims that were moved, with who did it. */
final readonly class MovedShims
{
    public function __construct(
        public string $id,
        public int $row,
        public string $side,
        public int $pairs,
        public ?float $contactBefore,
        public string $note,
        public string $at,
        public string $by,
    ) {
    }
}
