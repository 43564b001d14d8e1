<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\Trend;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Wear\WearPath;

/** A part that wears down from its new size: at the limit it is still "watch", under it "change". */
final readonly class WearLimit implements Rule
{
    public function __construct(
        public Quantity $new,
        public Quantity $limit,
        /** From the limit up to this far above it a part is "watch". */
        public Quantity $margin,
    ) {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $above = $value->steps() - $this->limit->steps();
        if ($above < 0) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::UnderLimit, $this->limit));
        }

        $reasons = [];
        if ($above === 0) {
            $reasons[] = new Reason(ReasonCode::AtLimit, $this->limit);
        } elseif ($above <= $this->margin->steps()) {
            $reasons[] = new Reason(ReasonCode::NearLimit, $this->limit);
        }
        if ($background->outlook !== null && $value->steps() < $background->outlook->turnsAt->steps()) {
            $reasons[] = new Reason(ReasonCode::WillNotLast, $background->outlook->chance);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::AboveLimit, $this->limit))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(Background $background): array
    {
        $limit = $this->limit->steps();
        $points = [$limit, $limit + 1, $limit + $this->margin->steps() + 1];

        return $background->outlook === null ? $points : [...$points, $background->outlook->turnsAt->steps()];
    }

    public function lifeLeft(Quantity $value): float
    {
        $left = ($value->steps() - $this->limit->steps()) / ($this->new->steps() - $this->limit->steps());

        return max(0.0, min(1.0, $left));
    }

    public function largest(): Quantity
    {
        return $this->new;
    }

    public function trend(): Trend
    {
        return Trend::Shrinks;
    }

    public function wear(FurrowDistance $life): WearPath
    {
        $limit = $this->limit->unit()->valueOf($this->limit);
        $new = $this->new->unit()->valueOf($this->new);

        return new WearPath(true, $limit, $new, $new - $limit, $life);
    }

    public function marks(): array
    {
        return ['limit' => $this->limit, 'new' => $this->new];
    }

    public function faults(): array
    {
        return match (true) {
            $this->limit->steps() >= $this->new->steps() => ['limit' => 'limit_not_under_new'],
            $this->limit->steps() + $this->margin->steps() >= $this->new->steps() => ['margin' => 'margin_past_new'],
            default => [],
        };
    }
}
