<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

/** What it is worth to have a thing done before planting goes on: the stops that it saves, and the depth that it gives back. */
final readonly class RainWorth
{
    /** Millimetres: depth has its price for a quarter of an inch. */
    public const QUARTER = 6.35;

    /**
     * @param  float  $stop  what a stop costs, in the shop's currency
     * @param  float  $depth  what it costs to plant an acre a quarter of an inch too shallow; 0 where nobody has said
     * @param  float  $acres  that each row plants yet
     */
    public function __construct(
        private float $stop,
        private float $depth,
        private float $acres,
    ) {
    }

    /**
     * @param  float  $chance  of a stop if it is left, 0 to 1
     * @param  list<float>  $lost  millimetres of depth that each part of one opener has lost, on the average of what is planted yet; an opener plants at the mean of its two blades
     */
    public function of(float $chance, array $lost): float
    {
        return $chance * $this->stop + array_sum($lost) / 2 / self::QUARTER * $this->depth * $this->acres;
    }
}
