<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\Verdict;

/** A figure that should be alike on all rows: further from the planter's median than the tolerance it stands out, unless the row makes up for it elsewhere. */
final readonly class NearMedian implements Rule
{
    use OfASetting;

    public function __construct(
        public Quantity $tolerance,
        /** What standing out means. */
        public Verdict $verdict,
    ) {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $median = $background->median;
        if ($median === null) {
            return Judgement::of(Verdict::Sound, new Reason(ReasonCode::TooFewRows));
        }
        $off = $value->steps() - $median->steps();

        return match (true) {
            // What the row carries is judged where it is set.
            $background->aim !== null && abs($off) > $this->tolerance->steps() => Judgement::of(Verdict::Sound, new Reason(ReasonCode::Carried, $background->aim)),
            $off > $this->tolerance->steps() => Judgement::of($this->verdict, new Reason(ReasonCode::AboveRows, $median)),
            $off < -$this->tolerance->steps() => Judgement::of($this->verdict, new Reason(ReasonCode::BelowRows, $median)),
            default => Judgement::of(Verdict::Sound, new Reason(ReasonCode::LikeRows, $median)),
        };
    }

    public function breakPoints(Background $background): array
    {
        $median = $background->median?->steps();

        return $median === null ? [] : [$median - $this->tolerance->steps(), $median + $this->tolerance->steps() + 1];
    }

    public function marks(): array
    {
        return [];
    }

    public function faults(): array
    {
        return [];
    }
}
