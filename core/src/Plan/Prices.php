<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/** What hours and stops cost the shop, in its currency. What nobody has said is not counted, and said. */
final readonly class Prices
{
    /**
     * @param  float  $hour  of a technician's work, 0 or more
     * @param  float  $stop  fixed cost of a stop in season: the trip, the call, 0 or more
     * @param  float  $stopHours  that the planter stands besides the work itself, 0 or more
     * @param  non-empty-list<float>  $standing  what an hour's standing costs, from the first acre of a season to the last in even steps
     */
    public function __construct(
        public float $hour,
        public float $stop,
        public float $stopHours,
        public array $standing,
    ) {
    }

    /**
     * What a stop costs in standing still, without the work itself and its fixed cost.
     *
     * @param  float  $minutes  of the work
     * @param  float  $at  share of the season that is planted, 0 to 1
     */
    public function standing(float $minutes, float $at): float
    {
        $last = count($this->standing) - 1;

        return ($this->stopHours + $minutes / 60) * $this->standing[max(0, min($last, (int) ($at * ($last + 1))))];
    }
}
