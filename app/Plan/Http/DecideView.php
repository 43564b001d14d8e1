<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use App\Plan\CarriedOver;
use App\Plan\Decisions;
use App\Plan\Found;
use Ustrel\Core\Plan\Policy\Strategy;

final readonly class DecideView extends Schema
{
    public function __construct(
        public ?string $walk,
        public int $season,
        /** That rules */
        public Strategy $school,
        /** @var list<ToDecideView> The worst first, then what is due by the policy alone */
        public array $found,
        /** @var list<CarriedOverView> Over from before: what is due first */
        public array $carried,
        public SumView $open,
        public SumView $decided,
    ) {
    }

    public static function of(Decisions $decisions): self
    {
        return new self(
            walk: $decisions->walk?->id,
            season: $decisions->planter->season(),
            school: $decisions->now->policy->school,
            found: array_map(static fn (Found $found): ToDecideView => ToDecideView::of($found, $decisions->isDone($found)), $decisions->found),
            carried: array_map(static fn (CarriedOver $carried): CarriedOverView => new CarriedOverView(
                row: $carried->decision->row_number, check: $carried->decision->check_key, side: $carried->decision->side,
                due: $carried->isDue, decision: DecisionView::of($carried->decision),
            ), $decisions->carried),
            open: SumView::of(...$decisions->open()),
            decided: SumView::of(...$decisions->decided()),
        );
    }
}
