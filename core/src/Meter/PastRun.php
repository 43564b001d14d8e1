<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A run that the shop made before, on the disc that is to run now. */
final readonly class PastRun
{
    /**
     * @param  string  $lot  its key: two runs of one lot have the same
     * @param  string  $singulator  step, in own words; empty where nobody said
     * @param  float|null  $air  inches of water, 0.5 to 60; null where nobody said, or the meter needs none
     */
    public function __construct(
        public string $lot,
        public TagSeed $seed,
        public string $singulator,
        public ?float $air,
        public Counts $counts,
    ) {
    }
}
