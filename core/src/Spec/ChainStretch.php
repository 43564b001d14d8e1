<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Amount;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Wear\WearPath;

/**
 * A roller chain, measured pin to pin over ten pitches. Elongation in percent = 100 x (measured / (pitches x pitch) - 1):
 * over one share it is "watch", over the other "change".
 */
final readonly class ChainStretch implements Rule
{
    public const PITCHES = 10;

    private int $nominal;

    public function __construct(
        public Quantity $pitch,
        /** Percent. */
        public Quantity $watch,
        /** Percent. */
        public Quantity $limit,
    ) {
        $this->nominal = self::PITCHES * $pitch->steps();
    }

    /** Elongation in percent; below 0 where less than ten new pitches was measured. */
    public function elongation(Quantity $measured): Amount
    {
        return Amount::ofThousandths((int) round(100 * Amount::STEPS_PER_UNIT * ($measured->steps() / $this->nominal - 1)), Unit::Percent);
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $steps = $value->steps();
        if ($steps > $this->lengthAt($this->limit)) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::OverStretchLimit, $this->limit));
        }

        $reasons = [];
        if ($steps > $this->lengthAt($this->watch)) {
            $reasons[] = new Reason(ReasonCode::OverStretchWatch, $this->watch);
        }
        if ($background->outlook !== null && $steps > $background->outlook->turnsAt->steps()) {
            $reasons[] = new Reason(ReasonCode::WillOutgrow, $background->outlook->chance);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::LittleStretch, $this->watch))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(Background $background): array
    {
        $points = [$this->lengthAt($this->watch) + 1, $this->lengthAt($this->limit) + 1];

        return $background->outlook === null ? $points : [...$points, $background->outlook->turnsAt->steps() + 1];
    }

    public function lifeLeft(Quantity $value): float
    {
        $allowed = $this->lengthAt($this->limit) - $this->nominal;

        return max(0.0, min(1.0, 1 - ($value->steps() - $this->nominal) / $allowed));
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
        $perMillimetre = Unit::Millimetre->stepsPerUnit();
        $limit = $this->lengthAt($this->limit) / $perMillimetre;
        $new = $this->nominal / $perMillimetre;

        return new WearPath(false, $limit, $new, $limit - $new, $life);
    }

    public function marks(): array
    {
        return ['watch' => Length::ofNanometres($this->lengthAt($this->watch)), 'limit' => Length::ofNanometres($this->lengthAt($this->limit))];
    }

    public function faults(): array
    {
        return match (true) {
            $this->pitch->steps() === 0 => ['pitch' => 'zero'],
            $this->limit->steps() === 0 => ['limit' => 'zero'],
            $this->watch->steps() >= $this->limit->steps() => ['watch' => 'watch_not_under_limit'],
            default => [],
        };
    }

    /** Nanometres over ten pitches at so many percent. */
    private function lengthAt(Quantity $percent): int
    {
        return $this->nominal + intdiv($this->nominal * $percent->steps(), 100 * Amount::STEPS_PER_UNIT);
    }
}
