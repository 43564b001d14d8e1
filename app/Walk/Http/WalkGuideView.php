<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Spec\Http\CheckView;
use App\Walk\Board\WalkNews;
use App\Yard\Http\PlanterView;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkOrder;

final readonly class WalkGuideView extends Schema
{
    public function __construct(
        public PlanterView $planter,
        /** Null where none is open: the guide of the walk that would be started */
        public ?WalkView $walk,
        /** The year of planting */
        public int $season,
        /** @var list<CheckView> All that the planter has, walked today or not, as most rows have them */
        public array $checks,
        /** @var list<CheckView> As other rows have them */
        public array $row_checks,
        /** @var list<WalkStepView> Every place that the planter has */
        public array $steps,
        /** @var array{row_by_row: list<int>, station_by_station: list<int>, snake: list<int>} By order, the steps by their place in the list */
        public array $orders,
        /** The name of the pack that the planter was last walked with */
        public ?string $last_pack,
        /** Null once a walk is open */
        public ?WalkPaceView $pace,
        #[Inlined] public WalkStateView $state,
    ) {
    }

    public static function of(WalkNews $news): self
    {
        $board = $news->board;
        $index = array_flip(array_map(static fn (Place $place): string => $place->key(), $board->places));
        $order = static fn (WalkOrder $of): array => array_map(static fn (Place $place): int => $index[$place->key()], Route::through($board->sheet, $board->rowCount, $of)->places);

        return new self(
            planter: PlanterView::of($board->planter),
            walk: $board->walk === null ? null : WalkView::of($board->walk),
            season: $board->season,
            checks: CheckView::all($board),
            row_checks: CheckView::ofRows($board),
            steps: array_map(static fn (Place $place): WalkStepView => WalkStepView::of($place, $news), $board->places),
            orders: ['row_by_row' => $order(WalkOrder::RowByRow), 'station_by_station' => $order(WalkOrder::StationByStation), 'snake' => $order(WalkOrder::Snake)],
            last_pack: $board->walk === null ? $board->planter->lastPack() : $board->walk->pack,
            pace: $board->walk === null ? WalkPaceView::of($board->planter->workshop_id) : null,
            state: WalkStateView::of($news),
        );
    }
}
