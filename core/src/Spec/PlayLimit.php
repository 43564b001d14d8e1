<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Quantity;

/** Play that grows with wear: over one figure it is "watch", over the other "change". */
final readonly class PlayLimit implements Rule
{
    public function __construct(
        /** Up to here, this included, it is sound. */
        public Quantity $watch,
        /** Up to here, this included, it is "watch". */
        public Quantity $limit,
    ) {
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $steps = $value->steps();
        if ($steps > $this->limit->steps()) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::OverPlayLimit, $this->limit));
        }

        $reasons = [];
        if ($steps > $this->watch->steps()) {
            $reasons[] = new Reason(ReasonCode::OverPlayWatch, $this->watch);
        }
        $grown = $steps - ($background->last?->steps() ?? $steps);
        if ($grown > 0 && $steps + $grown > $this->limit->steps()) {
            $reasons[] = new Reason(ReasonCode::WillOutgrow, $this->limit);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::LittlePlay, $this->watch))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(Background $background): array
    {
        $points = [$this->watch->steps() + 1, $this->limit->steps() + 1];
        if ($background->last !== null) {
            // Grown again by what it grew: value + (value - last) > limit, so value > (limit + last) / 2.
            $points[] = intdiv($this->limit->steps() + $background->last->steps(), 2) + 1;
            $points[] = $background->last->steps() + 1;
        }

        return $points;
    }

    public function lifeLeft(Quantity $value): float
    {
        return max(0.0, min(1.0, 1 - $value->steps() / $this->limit->steps()));
    }

    public function largest(): null
    {
        return null;
    }

    public function trend(): Trend
    {
        return Trend::Grows;
    }

    public function marks(): array
    {
        return ['watch' => $this->watch, 'limit' => $this->limit];
    }

    public function faults(): array
    {
        return match (true) {
            $this->limit->steps() === 0 => ['limit' => 'zero'],
            $this->watch->steps() >= $this->limit->steps() => ['watch' => 'watch_not_under_limit'],
            default => [],
        };
    }
}
