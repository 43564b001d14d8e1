<?php

declare(strict_types=1);

namespace App\Work;

use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Work\Stops\RainPlan;

/** What to do in the hours that it rains. */
final readonly class RainDay
{
    /**
     * @param  RainPlan|null  $plan  null where the time is gone once the planter is safe, or where nobody has said what a stop costs
     * @param  array<string, Proposal>  $proposals  by key of the plan
     * @param  int  $safe  minutes that it takes to make the planter safe
     * @param  int  $waiting  things to do whose parts are not here
     * @param  int  $unknown  things to do whose risk nobody can tell
     * @param  int  $forMore  things to do that take more people than there are
     */
    public function __construct(
        public ?RainPlan $plan,
        public array $proposals,
        public int $safe,
        public int $waiting,
        public int $unknown,
        public int $forMore,
        public bool $hasStopCost,
    ) {
    }
}
