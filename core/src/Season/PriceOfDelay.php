<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** What late planting costs, by the shop's own price: so much for each acre and each day after a date. */
final readonly class PriceOfDelay
{
    /**
     * @param  float  $acreDay  money for an acre planted a day late, 0 or more
     * @param  int  $freeDays  days of planting that are not late, from the first; 0 where all are
     */
    public function __construct(
        public float $acreDay,
        public int $freeDays,
    ) {
    }

    /**
     * What an hour's stop costs: it makes every acre that falls after the date later by one in so many hours a day.
     *
     * @param  float  $acres  of the whole season
     * @param  float  $done  acres of it that are planted, 0 or more
     * @param  float  $acresADay  of the calendar, fit or not, over 0
     * @param  float  $hoursADay  over 0
     */
    public function anHour(float $acres, float $done, float $acresADay, float $hoursADay): float
    {
        $late = max(0.0, $acres - max($done, $this->freeDays * $acresADay));

        return $late * $this->acreDay / $hoursADay;
    }

    /**
     * What it costs that planting goes at that pace, without any stop.
     *
     * @param  float  $acres  of the whole season
     * @param  float  $acresADay  of the calendar, over 0
     */
    public function ofSeason(float $acres, float $acresADay): float
    {
        $late = max(0.0, $acres - $this->freeDays * $acresADay);

        return $this->acreDay * $late ** 2 / (2 * $acresADay);
    }
}
