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

/** A figure that is not to pass a limit, which itself is allowed: beyond it is to be changed. */
final readonly class Bound implements Rule
{
    use OfASetting;

    /** @param  bool  $isMost  the most that it may be; else the least */
    public function __construct(
        public Quantity $limit,
        public bool $isMost,
    ) {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $over = $value->steps() - $this->limit->steps();

        return match (true) {
            $this->isMost && $over > 0 => Judgement::of(Verdict::Change, new Reason(ReasonCode::OverBound, $this->limit)),
            ! $this->isMost && $over < 0 => Judgement::of(Verdict::Change, new Reason(ReasonCode::UnderBound, $this->limit)),
            default => Judgement::of(Verdict::Sound, new Reason(ReasonCode::WithinBound, $this->limit)),
        };
    }

    public function breakPoints(Background $background): array
    {
        return [$this->limit->steps() + ($this->isMost ? 1 : 0)];
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
