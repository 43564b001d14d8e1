<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** Acres planted on a day. */
final readonly class FieldRun
{
    /**
     * @param  string  $day  ISO 8601, as 2026-04-28
     * @param  float  $acres  of the whole planter, over 0
     * @param  array<int, float>  $shares  by row number, the share of it that the row ran, 0 to 1; a row not named ran all of it
     */
    public function __construct(
        public string $day,
        public float $acres,
        public float $severity = 1.0,
        public array $shares = [],
    ) {
    }
}
