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
        /**
         * Notches, halves allowed, up where positive. Where the handle carries it: how much higher than the rest the row is set.
         * Where the stop is re-indexed: how far its scale is moved.
         */
        public float $move,
    ) {
    }
}
