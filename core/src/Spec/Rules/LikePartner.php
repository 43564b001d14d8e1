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

/** A setting about its own target, over as well as under, and no further from its partner on the other side than it may be from that. */
final readonly class LikePartner implements ComparesSides, Rule
{
    use OfASetting;

    private Range $range;

    public function __construct(
        public Quantity $target,
        public Quantity $tolerance,
    ) {
        $this->range = Range::around($target, $tolerance);
    }

    public function alikeWithin(): Quantity
    {
        return $this->tolerance;
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $judgement = $this->range->judge($value, $background);
        $other = $background->otherSide;

        // Of the two the one that is off its target is to blame.
        return $judgement->verdict === Verdict::Sound && $other !== null && $this->range->judge($other, $background)->verdict === Verdict::Sound && abs($value->steps() - $other->steps()) > $this->tolerance->steps()
            ? Judgement::of(Verdict::Change, new Reason(ReasonCode::UnequalSides, $other))
            : $judgement;
    }

    public function breakPoints(Background $background): array
    {
        $points = $this->range->breakPoints($background);
        $other = $background->otherSide?->steps();

        return $other === null ? $points : [...$points, $other - $this->tolerance->steps(), $other + $this->tolerance->steps() + 1];
    }

    public function marks(): array
    {
        return $this->range->marks();
    }

    public function faults(): array
    {
        return $this->range->faults();
    }
}
