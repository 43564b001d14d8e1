<?php

declare(strict_types=1);

namespace App\Season;

use Ustrel\Core\Season\PriceOfDelay;

/** What an hour's stop of a planter costs, from its first acre to its last. */
final readonly class DelayCost
{
    public function __construct(
        /** Who waits: of an hour. */
        private float $rate,
        /** Null where the shop has set none. */
        private ?PriceOfDelay $price,
        /** Of the season; null where nobody knows. */
        private ?float $acres,
        /** Of the calendar. */
        private float $acresADay,
        private float $hoursADay,
    ) {
    }

    /** @param  float  $done  acres that are planted */
    public function anHour(float $done): float
    {
        return $this->rate + ($this->acres === null || $this->price === null ? 0.0 : $this->price->anHour($this->acres, $done, $this->acresADay, $this->hoursADay));
    }
}
