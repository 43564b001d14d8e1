<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Http\Api\Schema;
use App\Today\PlanterToday;
use Ustrel\Core\Measure\Day;

final readonly class PlanterTodayView extends Schema
{
    public function __construct(
        public int $id,
        public string $name,
        public string $farm,
        public ?Day $planting_start,
        /** Negative once planting has begun */
        public ?int $days_to_planting,
        /** @var list<TodayItemView> The most pressing first */
        public array $items,
    ) {
    }

    public static function of(PlanterToday $of): self
    {
        return new self($of->planter->id, $of->planter->name, $of->planter->farm, $of->planter->planting_start, $of->daysToPlanting, array_map(TodayItemView::of(...), $of->items));
    }
}
