<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Schema;
use App\Http\GlanceView;
use App\Spec\Http\CheckView;
use App\Walk\Board\Board;
use App\Walk\Http\DoubtView;
use App\Walk\Http\WalkView;
use App\Yard\Http\PlanterView;
use Ustrel\Core\Walk\Findings;
use Ustrel\Core\Walk\Glance;
use Ustrel\Core\Walk\Place;

final readonly class BoardView extends Schema
{
    public function __construct(
        public PlanterView $planter,
        /** Null where this season has no walk yet */
        public ?WalkView $walk,
        public int $season,
        /** @var list<CheckView> As most rows have them */
        public array $checks,
        /** @var list<CheckView> As other rows have them */
        public array $row_checks,
        /** @var list<RibbonRowView> */
        public array $ribbon,
        public RibbonRowView $whole_planter,
        /** @var array<string, DoubtView> What the other rows make hard to believe: by check, or by check and row with a space between for those of row_checks */
        public array $row_doubts,
        /** @var list<BoardCellView> Every place, row by row */
        public array $cells,
        /** @var list<GlanceView> One line a station, front to back */
        public array $glance,
        /** @var list<int> What is not sound, the worst first: places in the list of cells */
        public array $findings,
    ) {
    }

    public static function of(Board $board): self
    {
        $verdicts = $board->verdicts();

        return new self(
            planter: PlanterView::of($board->planter),
            walk: $board->walk === null ? null : WalkView::of($board->walk),
            season: $board->season,
            checks: CheckView::all($board),
            row_checks: CheckView::ofRows($board),
            ribbon: array_map(RibbonRowView::of(...), $board->ribbon),
            whole_planter: RibbonRowView::of($board->wholePlanter),
            row_doubts: DoubtView::ofRows($board),
            cells: array_map(static fn (Place $place): BoardCellView => BoardCellView::of($place, $board), $board->places),
            glance: GlanceView::all(Glance::ofVerdicts($board->sheet, $board->scope, $board->places, $board->rowCount, $verdicts)),
            findings: Findings::among($board->places, $verdicts),
        );
    }
}
