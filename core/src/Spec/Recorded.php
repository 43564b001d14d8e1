<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Quantity;

/** A setting that is written down and not judged. */
final readonly class Recorded implements Rule
{
    use OfASetting;

    public function judge(Quantity $value, Background $background): Judgement
    {
        return Judgement::of(Verdict::Sound, new Reason(ReasonCode::Recorded));
    }

    public function breakPoints(Background $background): array
    {
        return [];
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
