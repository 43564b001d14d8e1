<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** How the parts of one check wear on a planter, new ones and those that are on it. Rooms and rates as in WearPath. */
final readonly class KindLife
{
    /** @param  array<string, Belief>  $beliefs  of what is on the planter and was ever read, by place key */
    public function __construct(
        /** Average of new parts, a metre. */
        public float $rate,
        /** Standard deviation from one part to the next. */
        public float $scatter,
        /** How unsure the average is. */
        public float $rateSd,
        /** Of the size of a new part, in the units of the room. */
        public float $newSd,
        /** Of one measurement of a part half worn, in the units of the room. */
        public float $measuringSd,
        public bool $isThin,
        public array $beliefs,
    ) {
    }
}
