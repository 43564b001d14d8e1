<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Quantity;

/** A count of which there should be so many left: with fewer it is "watch". */
final readonly class AtLeast implements Rule
{
    use OfASetting;

    public function __construct(public Quantity $least)
    {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        return $value->steps() < $this->least->steps()
            ? Judgement::of(Verdict::Watch, new Reason(ReasonCode::TooFewLeft, $this->least))
            : Judgement::of(Verdict::Sound, new Reason(ReasonCode::EnoughLeft));
    }

    public function breakPoints(Background $background): array
    {
        return [$this->least->steps()];
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
