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

/** A count of which there should be so many left, and as many on both sides: with fewer it is "watch", unequal "change". */
final readonly class AtLeast implements ComparesSides, Rule
{
    use OfASetting;

    public function __construct(public Quantity $least)
    {
    }

    public function alikeWithin(): Quantity
    {
        return $this->least->unit()->quantity(0);
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        if ($background->otherSide !== null && $background->otherSide->steps() !== $value->steps()) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::UnequalSides, $background->otherSide));
        }

        return $value->steps() < $this->least->steps()
            ? Judgement::of(Verdict::Watch, new Reason(ReasonCode::TooFewLeft, $this->least))
            : Judgement::of(Verdict::Sound, new Reason(ReasonCode::EnoughLeft));
    }

    public function breakPoints(Background $background): array
    {
        $other = $background->otherSide?->steps();

        return $other === null ? [$this->least->steps()] : [$this->least->steps(), $other, $other + 1];
    }

    public function marks(): array
    {
        return ['least' => $this->least];
    }

    public function faults(): array
    {
        return [];
    }
}
