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

/** How far something stands beside its line: over the limit it is to be adjusted. */
final readonly class OffCentre implements Rule
{
    use OfASetting;

    public function __construct(public Quantity $limit)
    {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        return $value->steps() > $this->limit->steps()
            ? Judgement::of(Verdict::Change, new Reason(ReasonCode::OffCentre, $this->limit))
            : Judgement::of(Verdict::Sound, new Reason(ReasonCode::OnCentre, $this->limit));
    }

    public function breakPoints(Background $background): array
    {
        return [$this->limit->steps() + 1];
    }

    public function marks(): array
    {
        return ['limit' => $this->limit];
    }

    public function faults(): array
    {
        return [];
    }
}
