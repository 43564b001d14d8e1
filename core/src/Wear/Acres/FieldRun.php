<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use Ustrel\Core\Measure\Day;

/** Acres planted on a day. */
final readonly class FieldRun
{
    /**
     * @param  float  $acres  of the whole planter, over 0
     * @param  array<int, float>  $shares  by row number, the share of it that the row ran, 0 to 1; a row not named ran all of it
     */
    public function __construct(
        public Day $day,
        public float $acres,
        public float $severity = 1.0,
        public array $shares = [],
    ) {
    }
}
