<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Plan\Prices;

/** What a policy came to, run by run, over all seasons of a run. */
final readonly class SimulatedRuns
{
    /**
     * @param  list<float>  $parts  money for parts, less what they gained in worth; by run
     * @param  list<float>  $minutes  of work; by run
     * @param  list<float>  $stops  by run
     * @param  list<float>  $standing  money for standing still, without the fixed cost of stops; by run
     * @param  array<string, float>  $used  parts a season, by slot
     * @param  float  $unpriced  parts a season whose price nobody knows
     * @param  float  $lostWorst  millimetres of depth lost at planting on the worst row, on the average of seasons
     * @param  float  $lostMean  the same on all rows
     * @param  float  $waste  worth of what was left of parts taken out, a season
     */
    public function __construct(
        public Policy $policy,
        public array $parts,
        public array $minutes,
        public array $stops,
        public array $standing,
        public array $used,
        public float $unpriced,
        public float $lostWorst,
        public float $lostMean,
        public float $waste,
    ) {
    }

    /**
     * @param  float  $partsFactor  times the prices of parts
     * @param  float  $stopFactor  times what stops and standing cost
     * @return list<float> money by run
     */
    public function costs(Prices $prices, float $partsFactor = 1.0, float $stopFactor = 1.0): array
    {
        $costs = [];
        foreach ($this->parts as $run => $parts) {
            $costs[] = $partsFactor * $parts + $this->minutes[$run] / 60 * $prices->hour + $stopFactor * ($this->stops[$run] * $prices->stop + $this->standing[$run]);
        }

        return $costs;
    }
}
