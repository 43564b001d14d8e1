<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Parts\Slot;

/** What is known of the parts of one slot on one planter: how a new one begins, how it wears, what it costs. Rooms and rates as in Wear. */
final readonly class WearKind
{
    /**
     * @param  float  $allowance  room of a new part, over 0
     * @param  float  $newSd  how far that may be off, in the units of the room
     * @param  float  $rate  room lost a metre by a new part, on the average, over 0
     * @param  float  $scatter  standard deviation of it from one part to the next
     * @param  float  $rateSd  how unsure the average itself is, the same for all parts of the kind
     * @param  float  $measuringSd  of one measurement, in the units of the room
     * @param  float|null  $price  of a new part; null where nobody knows
     * @param  list<array{Slot, float|null}>  $along  what no figure is read of and is changed along with it, with its price
     * @param  float  $depth  millimetres of planting depth lost for each unit of room gone
     */
    public function __construct(
        public Slot $slot,
        public float $allowance,
        public float $newSd,
        public float $rate,
        public float $scatter,
        public float $rateSd,
        public float $measuringSd,
        public ?float $price,
        public array $along = [],
        public float $depth = 0.0,
    ) {
    }
}
