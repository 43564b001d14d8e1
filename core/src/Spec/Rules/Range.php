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

/** A setting that has to lie between two ends, both allowed: beyond them it is to be adjusted. */
final readonly class Range implements Rule
{
    use OfASetting;

    public function __construct(
        public Quantity $low,
        public Quantity $high,
    ) {
    }

    public static function around(Quantity $aim, Quantity $tolerance): self
    {
        $unit = $aim->unit();

        return new self(
            $unit->quantity($aim->steps() - $tolerance->steps()),
            $unit->quantity($aim->steps() + $tolerance->steps()),
        );
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        return match (true) {
            $value->steps() < $this->low->steps() => Judgement::of(Verdict::Change, new Reason(ReasonCode::UnderRange, $this->low)),
            $value->steps() > $this->high->steps() => Judgement::of(Verdict::Change, new Reason(ReasonCode::OverRange, $this->high)),
            default => Judgement::of(Verdict::Sound, new Reason(ReasonCode::InRange)),
        };
    }

    public function breakPoints(Background $background): array
    {
        return [$this->low->steps(), $this->high->steps() + 1];
    }

    public function marks(): array
    {
        return ['low' => $this->low, 'high' => $this->high];
    }

    public function faults(): array
    {
        return $this->low->steps() < $this->high->steps() ? [] : ['high' => 'range_upside_down'];
    }
}
