<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Plan\Found;
use App\Walk\Board\Http\AnswerView;
use App\Walk\Board\Http\ReasonView;
use DateTimeInterface;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;

final readonly class ToDecideView extends Schema
{
    public function __construct(
        public int $row,
        public CheckKey $check,
        public Side $side,
        /** Sound where nothing was found, and the policy alone says so */
        public Verdict $verdict,
        /** @var list<ReasonView> */
        public array $reasons,
        #[Inlined] public AnswerView $answer,
        public ProposalView $proposal,
        public ?DecisionView $decision,
        /** Something else was read there since it was decided */
        public bool $overtaken,
        /** Carried over in an earlier walk */
        public ?DecisionView $before,
        /** When what was decided was done; it is to be looked at again */
        public ?DateTimeInterface $done,
        /** Somebody tried, and could not: it is to be decided anew */
        public ?CouldNotView $could_not,
    ) {
    }

    public static function of(Found $found, bool $isDone): self
    {
        return new self(
            row: $found->place->row,
            check: $found->place->check,
            side: $found->place->side,
            verdict: $found->reading->verdict ?? Verdict::Sound,
            reasons: ReasonView::all($found->reading?->reasons() ?? []),
            answer: $found->reading === null ? new AnswerView(null, null, []) : AnswerView::of($found->reading->stored),
            proposal: ProposalView::of($found->proposal),
            decision: $found->decision === null ? null : DecisionView::of($found->decision),
            overtaken: $found->isOvertaken(),
            before: $found->before === null ? null : DecisionView::of($found->before),
            done: $isDone ? collect($found->done)->max('happened_at') : null,
            could_not: $found->couldNot === null ? null : CouldNotView::of($found->couldNot),
        );
    }
}
