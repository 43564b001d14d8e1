<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;

/**
 * A figure that has to lie between two ends, such as the contact length of the opener blades. The ends themselves are
 * still "watch", beyond them it is "change". Wear takes it towards the low end; adjusting brings it back.
 */
final readonly class Window implements Rule
{
    public function __construct(
        public Length $low,
        public Length $high,
        public Length $aim,
        /** From each end inwards as far as this it is "watch". */
        public Length $margin,
    ) {
    }

    public function judge(Length $value, ?Length $last): Judgement
    {
        if ($value->isLessThan($this->low)) {
            $code = $value->nanometres === 0 ? ReasonCode::NoContact : ReasonCode::UnderWindow;

            return Judgement::of(Verdict::Change, new Reason($code, $this->low));
        }
        if ($value->isGreaterThan($this->high)) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::OverWindow, $this->high));
        }
        if (! $value->isGreaterThan($this->low->plus($this->margin))) {
            return Judgement::of(Verdict::Watch, new Reason(ReasonCode::NearWindowLow, $this->low));
        }
        if (! $value->isLessThan($this->high->minus($this->margin))) {
            return Judgement::of(Verdict::Watch, new Reason(ReasonCode::NearWindowHigh, $this->high));
        }

        return Judgement::of(Verdict::Sound, new Reason(ReasonCode::InWindow, $this->aim));
    }

    public function breakPoints(?Length $last): array
    {
        $low = $this->low->nanometres;
        $high = $this->high->nanometres;
        $margin = $this->margin->nanometres;

        return [1, $low, $low + $margin + 1, $high - $margin, $high + 1];
    }

    public function lifeLeft(Length $value): float
    {
        if ($value->isGreaterThan($this->high)) {
            return 0.0;
        }
        $left = $value->minus($this->low)->nanometres / $this->aim->minus($this->low)->nanometres;

        return max(0.0, min(1.0, $left));
    }

    public function largest(): null
    {
        return null;
    }

    public function onlyShrinks(): bool
    {
        return false;
    }
}
