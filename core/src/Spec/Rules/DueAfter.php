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

/** Something to be done every so many seasons: once as many have passed it is due. */
final readonly class DueAfter implements Rule
{
    use OfASetting;

    public function __construct(public Quantity $interval)
    {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        return $value->steps() < $this->interval->steps()
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::NotDue, $this->interval))
            : Judgement::of(Verdict::Watch, new Reason(ReasonCode::Due, $this->interval));
    }

    public function breakPoints(Background $background): array
    {
        return [$this->interval->steps()];
    }

    public function marks(): array
    {
        return ['interval' => $this->interval];
    }

    public function faults(): array
    {
        return $this->interval->steps() > 0 ? [] : ['interval' => 'zero'];
    }
}
