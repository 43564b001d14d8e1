<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Work\Schedule\InvalidPlan;

/** Parts that are changed together in the season, such as both blades of the rows that wear alike. */
final readonly class StopItem
{
    /**
     * @param  string  $key  names it within the plan
     * @param  float  $due  acres from now by which it has to be changed, 0 or more
     * @param  float  $life  acres that a new one goes before it has to be changed again, over 0
     * @param  float  $price  of new ones, 0 or more: what is left of them when they are changed is thrown away
     * @param  float  $work  what changing them costs in work and in standing still, 0 or more
     *
     * @throws InvalidPlan
     */
    public function __construct(
        public string $key,
        public float $due,
        public float $life,
        public float $price,
        public float $work,
    ) {
        $isFine = $due >= 0 && $life > 0 && $price >= 0 && $work >= 0 && is_finite($due + $life + $price + $work);
        $isFine || throw InvalidPlan::item($key);
    }
}
