<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** One policy of a table: money a season. */
final readonly class PolicyLine
{
    public function __construct(
        public SimulatedRuns $played,
        public float $p10,
        public float $p50,
        public float $p90,
        /** Share of runs in which it is the cheapest, 0 to 1. */
        public float $cheapest,
        /** Stops a season. */
        public float $stops,
        /** Hours of work a season. */
        public float $hours,
    ) {
    }
}
