<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Crew;
use Ustrel\Core\Season\DaysToPlant;
use Ustrel\Core\Season\FieldPace;
use Ustrel\Core\Season\PlantingDay;
use Ustrel\Core\Season\SeasonFills;

/** A season of a planter as it is planned, and what follows. */
final readonly class PreparedSeason
{
    /** @param  list<array<string, mixed>>  $fieldsBefore  of the season before */
    public function __construct(
        public Planter $planter,
        public SeasonPlan $plan,
        public array $fieldsBefore,
        /** Of the whole season; null where nobody knows. */
        public ?float $acres,
        public float $done,
        public FieldPace $pace,
        public SeasonFills $fills,
        public PlantingDay $day,
        /** Null without acres, or where all are planted. */
        public ?DaysToPlant $days,
        /** Of a stop that came now. */
        public float $hourCost,
        public Crew $crew,
        /** Working width. */
        public float $feet,
    ) {
    }

    /** The day from which what is left is planted: today, once planting has begun. */
    public function from(): Day
    {
        $today = $this->planter->workshop->today();
        $start = $this->planter->planting_start;

        return $start === null || $start->isBefore($today) ? $today : $start;
    }
}
