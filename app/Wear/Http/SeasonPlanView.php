<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Api\Schema;
use App\Models\Planter;
use Ustrel\Core\Season\PlantingProgress;

final readonly class SeasonPlanView extends Schema
{
    public function __construct(
        public float $acres,
        public float $done,
        public float $left,
        /** From the first to the last day of planting */
        public ?int $days,
        /** False: nobody has said, and it is as much as the last season */
        public bool $planned,
    ) {
    }

    public static function of(Planter $planter, ?PlantingProgress $plan): ?self
    {
        return $plan === null ? null : new self(
            acres: $plan->acres,
            done: $plan->done,
            left: $plan->acresLeft(),
            days: $plan->days,
            planned: $planter->planned_acres !== null,
        );
    }
}
