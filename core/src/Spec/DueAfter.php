<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Quantity;

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
