<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Http\RibbonRowView;
use App\Yard\YardPlanter;
use DateTimeInterface;
use Ustrel\Core\Measure\Day;

final readonly class YardPlanterView extends Schema
{
    public function __construct(
        public int $id,
        public string $farm,
        public string $name,
        /** Made up, to play with */
        public bool $is_sample,
        public int $row_count,
        public float $spacing_mm,
        /** @var list<int> */
        public array $sections,
        public int $season,
        public ?Day $planting_start,
        public ?int $days_to_planting,
        /** @var list<RibbonRowView> */
        public array $ribbon,
        /** 0 to 1, of this season's newest walk */
        public float $share_walked,
        public int $rows_to_change,
        /** Places past their limit or failed, and neither seen to nor decided since */
        public int $to_decide,
        /** Places changed since they were read */
        public int $to_measure_again,
        public bool $walk_open,
        /** When the newest walk of any season began */
        public ?DateTimeInterface $last_walk,
    ) {
    }

    public static function of(YardPlanter $of): self
    {
        $planter = $of->planter;

        return new self(
            $planter->id, $planter->farm, $planter->name, $planter->is_sample, $planter->row_count, (float) $planter->spacing_mm, $planter->sections, $planter->season(), $planter->planting_start, $of->daysToPlanting,
            array_map(RibbonRowView::of(...), $of->ribbon), round($of->shareWalked, 4), $of->rowsToChange, $of->toDecide, $of->toMeasureAgain,
            $of->newestWalk !== null && ! $of->newestWalk->isFinished(), $of->newestWalk?->started_at,
        );
    }
}
