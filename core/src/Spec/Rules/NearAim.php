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

/** A setting that each row has an aim of its own for: far from it is to be changed, somewhat off to be watched. */
final readonly class NearAim implements Rule
{
    use OfASetting;

    public function __construct(
        /** Up to here, this included, it is sound. */
        public Quantity $watch,
        /** Up to here, this included, it is "watch". */
        public Quantity $limit,
    ) {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $aim = $background->aim;
        if ($aim === null) {
            return Judgement::of(Verdict::Sound, new Reason(ReasonCode::TooFewRows));
        }
        $off = $value->steps() - $aim->steps();

        return match (true) {
            abs($off) <= $this->watch->steps() => Judgement::of(Verdict::Sound, new Reason(ReasonCode::AtAim, $aim)),
            default => Judgement::of(abs($off) > $this->limit->steps() ? Verdict::Change : Verdict::Watch, new Reason($off > 0 ? ReasonCode::AboveAim : ReasonCode::BelowAim, $aim)),
        };
    }

    public function breakPoints(Background $background): array
    {
        $aim = $background->aim?->steps();

        return $aim === null ? [] : [
            $aim - $this->limit->steps(), $aim - $this->watch->steps(),
            $aim + $this->watch->steps() + 1, $aim + $this->limit->steps() + 1,
        ];
    }

    public function marks(): array
    {
        return [];
    }

    public function faults(): array
    {
        return $this->watch->steps() < $this->limit->steps() ? [] : ['watch' => 'watch_not_under_limit'];
    }
}
