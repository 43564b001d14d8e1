<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Illuminate\Support\Collection;
use stdClass;
use Ustrel\Core\Plan\SeasonPlan;
use Ustrel\Core\Wear\UseLog;

/** How long what wears on a planter will last. */
final readonly class PlanterForecast
{
    /** @param  Collection<int, stdClass>  $places  rows of the table forecasts, with what is left in acres and the day it comes to */
    public function __construct(
        public Planter $planter,
        /** Null where nobody knows what the season is to bring. */
        public ?SeasonPlan $plan,
        public UseLog $log,
        public Collection $places,
    ) {
    }
}
