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
        if ($background->outlook !== null && $steps > $background->outlook->turnsAt->steps()) {
            $reasons[] = new Reason(ReasonCode::WillOutgrow, $background->outlook->chance);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::LittlePlay, $this->watch))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(Background $background): array
    {
        $points = [$this->watch->steps() + 1, $this->limit->steps() + 1];

        return $background->outlook === null ? $points : [...$points, $background->outlook->turnsAt->steps() + 1];
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

    public function wear(FurrowDistance $life): WearPath
    {
        $limit = $this->limit->unit()->valueOf($this->limit);

        return new WearPath(false, $limit, null, $limit, $life);
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
