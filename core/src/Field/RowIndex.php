<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

/** Where one row's depth stop stands among the others. */
final readonly class RowIndex
{
    public function __construct(
        public int $row,
        /** The notch at which its wheels just lift. */
        public float $notch,
        /** Notches above the median; below 0 under it. */
        public float $offset,
        /** Whole notches to move its stop by, up where positive; 0 where it may stay. */
        public int $move,
    ) {
    }
}
