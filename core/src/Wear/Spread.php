<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** What the readings of one planter tell of how a check is measured, to be pooled with those of others. */
final readonly class Spread
{
    public function __construct(
        /** What is left of the squares about the parts' own lines for the measuring itself, square millimetres; under 0 where rounding explains more than there is. */
        public float $squares,
        /** Readings more than it takes to draw the lines. */
        public int $spare,
    ) {
    }
}
