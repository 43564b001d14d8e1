<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/** Something that could be done while it rains. */
final readonly class RainJob
{
    /**
     * @param  string  $key  names it within the list
     * @param  int  $row  0 for the planter as a whole
     * @param  Side  $side  what belongs to none takes both
     * @param  int  $minutes  without what has to come off first, 0 to 600
     * @param  array<string, int>  $access  minutes of each thing that has to come off and go on again; shared with other jobs that name it
     * @param  float  $worth  of having it done, in the shop's currency, 0 or more
     * @param  int  $people  who have to be at it together, 1 to 4
     *
     * @throws InvalidPlan
     */
    public function __construct(
        public string $key,
        public int $row,
        public Side $side,
        public int $minutes,
        public array $access,
        public float $worth,
        public int $people = 1,
    ) {
        $minutes >= 0 && $minutes <= 600 || throw InvalidPlan::rainMinutes($key);
        $people >= 1 && $people <= 4 || throw InvalidPlan::people($key);
        $worth >= 0 && is_finite($worth) || throw InvalidPlan::worth($key);
    }
}
