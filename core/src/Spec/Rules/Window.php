<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\Trend;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Wear\WearPath;

/**
 * A figure that has to lie between two ends, such as the contact length of the opener blades. The ends themselves are
 * still "watch", beyond them it is "change". Wear takes it towards the low end; adjusting brings it back.
 */
final readonly class Window implements Rule
{
    public function __construct(
        public Quantity $low,
        public Quantity $high,
        public Quantity $aim,
        /** From each end inwards as far as this it is "watch". */
        public Quantity $margin,
    ) {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $steps = $value->steps();
        $margin = $this->margin->steps();

        $beyond = match (true) {
            $steps === 0 => new Reason(ReasonCode::NoContact, $this->low),
            $steps < $this->low->steps() => new Reason(ReasonCode::UnderWindow, $this->low),
            $steps > $this->high->steps() => new Reason(ReasonCode::OverWindow, $this->high),
            default => null,
        };
        if ($beyond !== null) {
            return Judgement::of(Verdict::Change, $beyond);
        }

        $reasons = [];
        if ($steps <= $this->low->steps() + $margin) {
            $reasons[] = new Reason(ReasonCode::NearWindowLow, $this->low);
        } elseif ($steps >= $this->high->steps() - $margin) {
            $reasons[] = new Reason(ReasonCode::NearWindowHigh, $this->high);
        }
        if ($background->outlook !== null && $steps < $background->outlook->turnsAt->steps()) {
            $reasons[] = new Reason(ReasonCode::WillNotLast, $background->outlook->chance);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::InWindow, $this->aim))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(Background $background): array
    {
        $low = $this->low->steps();
        $high = $this->high->steps();
        $margin = $this->margin->steps();

        $points = [1, $low, $low + $margin + 1, $high - $margin, $high + 1];

        return $background->outlook === null ? $points : [...$points, $background->outlook->turnsAt->steps()];
    }

    public function lifeLeft(Quantity $value): float
    {
        if ($value->steps() > $this->high->steps()) {
            return 0.0;
        }
        $left = ($value->steps() - $this->low->steps()) / ($this->aim->steps() - $this->low->steps());

        return max(0.0, min(1.0, $left));
    }

    public function largest(): null
    {
        return null;
    }

    public function trend(): Trend
    {
        return Trend::Free;
    }

    public function wear(FurrowDistance $life): WearPath
    {
        $low = $this->low->unit()->valueOf($this->low);

        // Two discs meet along a chord: it is its square that wears evenly.
        return new WearPath(true, $low, null, $this->aim->unit()->valueOf($this->aim) ** 2 - $low ** 2, $life, squared: true);
    }

    public function marks(): array
    {
        return ['low' => $this->low, 'aim' => $this->aim, 'high' => $this->high];
    }

    public function faults(): array
    {
        $low = $this->low->steps();
        $high = $this->high->steps();
        $margin = $this->margin->steps();

        return match (true) {
            $low === 0 || $low >= $high => ['high' => 'window_upside_down'],
            $this->aim->steps() <= $low || $this->aim->steps() > $high => ['aim' => 'aim_outside_window'],
            $low + $margin >= $high - $margin => ['margin' => 'margins_meet'],
            default => [],
        };
    }
}
