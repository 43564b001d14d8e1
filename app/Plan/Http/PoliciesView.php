<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use App\Models\Plan\PolicyChoice;
use App\Models\Planter;
use App\Plan\PolicyQuery;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\PolicyLine;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\Turn;

final readonly class PoliciesView extends Schema
{
    public function __construct(
        public int $seasons,
        /** That rules */
        public Strategy $school,
        /** @var array<string, SlotRuleView> The shop's own, by slot */
        public array $own,
        /** Null where nobody knows how many acres a season brings */
        public ?PolicyTableView $table,
        /** @var list<PolicyRuledView> Which policy ruled since when, the newest first */
        public array $ruled,
    ) {
    }

    public static function of(Planter $planter, int $seasons, PolicyQuery $policies): self
    {
        $outcome = $policies->of($planter, $seasons);
        $lines = $outcome->table->lines ?? [];
        $school = static fn (int $line): Strategy => $lines[$line]->played->policy->school;

        return new self(
            seasons: $seasons,
            school: $policies->ruling($planter)->school,
            own: array_map(SlotRuleView::of(...), $planter->workshop->own_policy),
            table: $outcome === null ? null : new PolicyTableView(
                lines: array_map(static fn (PolicyLine $line): PolicyLineView => PolicyLineView::of($line, $outcome->acres), $lines),
                cheapest: $school($outcome->table->cheapest),
                next: $outcome->table->next === null ? null : $school($outcome->table->next),
                ahead: round($outcome->table->ahead, 2),
                turns: array_map(static fn (Turn $turn): PolicyTurnView => new PolicyTurnView(of: $turn->of, factor: round($turn->factor, 3), school: $school($turn->line), by: $turn->by === null ? null : $school($turn->by)), $outcome->table->turns),
                acres: $outcome->acres,
                thin: $outcome->thin,
                without_rate: $outcome->withoutRate,
                without_stop_cost: $outcome->withoutStopCost,
            ),
            ruled: array_values(PolicyChoice::query()->where('planter_id', $planter->id)->with('user')->orderByDesc('happened_at')->orderByDesc('id')->limit(50)->get()
                ->map(static fn (PolicyChoice $choice): PolicyRuledView => new PolicyRuledView(
                    school: $choice->school, slot: $choice->slot,
                    happened_at: $choice->happened_at, by: $choice->user->name,
                ))->all()),
        );
    }
}
