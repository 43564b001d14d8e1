<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Walk\Glance;
use Ustrel\Core\Wear\Acres\UseLog;

/** How long what wears on a planter will last. */
final readonly class PlanterForecast
{
    /** @param  list<PlaceForecast>  $places  row by row */
    public function __construct(
        public Planter $planter,
        /** Null where nobody knows what the season is to bring. */
        public ?PlantingProgress $plan,
        public UseLog $log,
        public array $places,
    ) {
    }

    /** @return array<string, list<int|null>> by station: for each row from the left the place that will last the shortest */
    public function glance(): array
    {
        return Glance::ofStandings(
            $this->planter->readSheet(), array_column($this->places, 'place'), $this->planter->row_count,
            array_column($this->places, 'standing'), array_column($this->places, 'chance'),
        );
    }

    /** @return list<string> keys of the checks that read as if parts grew back, all in all */
    public function growBack(): array
    {
        $odd = array_filter($this->places, static fn (PlaceForecast $place): bool => $place->growsBack);

        return array_values(array_unique(array_map(static fn (PlaceForecast $place): string => $place->place->check->value, $odd)));
    }
}
