<?php

declare(strict_types=1);

namespace App\Plan;

use Ustrel\Core\Measure\Day;

/** How many of a part type one planter needs for what was decided on it, and by when. */
final readonly class Needed
{
    public function __construct(
        public int $planterId,
        public string $planter,
        public int $count,
        /** The day on which the work is to begin; null where no day of planting is set. */
        public ?Day $by,
    ) {
    }
}
