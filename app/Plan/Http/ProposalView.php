<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Why;

final readonly class ProposalView extends Schema
{
    public function __construct(
        public Action $action,
        public Why $why,
        public ?TurnedView $to,
        public ?TurnedView $by,
        /** @var list<PartPlaceView> */
        public array $parts,
        #[Inlined] public SumView $sum,
        /** To reach the limit, or to stop the row, within the season where it is left, 0 to 1 */
        public ?float $chance,
        /** That stands on little */
        public bool $thin,
        /** It read past its limit, and the other readings say otherwise: measure it again */
        public bool $doubted,
        /** The row cannot run as it is */
        public bool $stops,
        /** Such findings that the shop left, where the chance stands on them */
        public ?int $left,
        public ?LookWhen $look_when,
        public ?float $look_acres,
        /** Beyond basic service it is for qualified people */
        public bool $qualified,
    ) {
    }

    public static function of(Proposal $proposal): self
    {
        return new self(
            action: $proposal->action,
            why: $proposal->why,
            to: TurnedView::of($proposal->to),
            by: TurnedView::of($proposal->by),
            parts: array_map(static fn (SlotPlace $part): PartPlaceView => new PartPlaceView(row: $part->row, slot: $part->slot, side: $part->side), $proposal->parts),
            sum: SumView::of($proposal->cost, $proposal->minutes),
            chance: $proposal->risk->chance === null ? null : round($proposal->risk->chance, 3),
            thin: $proposal->risk->isThin,
            doubted: $proposal->risk->isDoubted,
            stops: $proposal->risk->stopsNow,
            left: $proposal->risk->left,
            look_when: $proposal->lookAgain?->when,
            look_acres: $proposal->lookAgain?->acres,
            qualified: $proposal->isForQualified,
        );
    }
}
