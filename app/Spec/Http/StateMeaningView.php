<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Http\ReasonView;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;

final readonly class StateMeaningView extends Schema
{
    public function __construct(
        public State $state,
        public Verdict $verdict,
        /** @var list<ReasonView> */
        public array $reasons,
    ) {
    }

    public static function of(Check $check, State $state): self
    {
        $judgement = $check->judge(Answer::state($state), Background::of());

        return new self(
            state: $state,
            verdict: $judgement->verdict,
            reasons: array_map(ReasonView::of(...), $judgement->reasons),
        );
    }
}
