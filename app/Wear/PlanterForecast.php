<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Ustrel\Core\Season\SeasonPlan;
use Ustrel\Core\Wear\UseLog;

/** How long what wears on a planter will last. */
final readonly class PlanterForecast
{
    /** @param  list<PlaceForecast>  $places  row by row */
    public function __construct(
        public Planter $planter,
        /** Null where nobody knows what the season is to bring. */
        public ?SeasonPlan $plan,
        public UseLog $log,
        public array $places,
    ) {
    }
}
