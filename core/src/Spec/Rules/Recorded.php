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
