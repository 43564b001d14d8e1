<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\Amount;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\Trend;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Wear\WearPath;

/**
 * A roller chain, pulled taut and measured pin to pin over 24 pitches; a caliper takes ten, which is told by the length. Elongation
 * in percent = 100 x (measured / (pitches x pitch) - 1): over one share it is "watch", over the other "change".
 */
final readonly class ChainStretch implements Rule
{
    public const PITCHES = 24;

    public const PITCHES_OF_A_CALIPER = 10;

    public function __construct(
        public Quantity $pitch,
        /** Percent. */
        public Quantity $watch,
        /** Percent. */
        public Quantity $limit,
    ) {
    }

    /** Elongation in percent; below 0 where less than so many new pitches was measured. */
    public function elongation(Quantity $measured): Amount
    {
        $nominal = $this->pitches($measured) * $this->pitch->steps();

        return Amount::ofThousandths((int) round(100 * Amount::STEPS_PER_UNIT * ($measured->steps() / $nominal - 1)), Unit::Percent);
    }

    public function judge(Quantity $value, Background $background): Judgement
    {
        $steps = $value->steps();
        $pitches = $this->pitches($value);
        if ($steps > $this->lengthAt($this->limit, $pitches)) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::OverStretchLimit, $this->limit));
        }

        $reasons = [];
        if ($steps > $this->lengthAt($this->watch, $pitches)) {
            $reasons[] = new Reason(ReasonCode::OverStretchWatch, $this->watch);
        }
        if ($background->outlook !== null && $steps > $this->turnsAt($background->outlook, $pitches)) {
            $reasons[] = new Reason(ReasonCode::WillOutgrow, $background->outlook->chance);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::LittleStretch, $this->watch))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(Background $background): array
    {
        $points = [$this->longestByCaliper()];
        foreach ([self::PITCHES_OF_A_CALIPER, self::PITCHES] as $pitches) {
            array_push($points, $this->lengthAt($this->watch, $pitches) + 1, $this->lengthAt($this->limit, $pitches) + 1);
            if ($background->outlook !== null) {
                $points[] = $this->turnsAt($background->outlook, $pitches) + 1;
            }
        }

        return $points;
    }

    public function lifeLeft(Quantity $value): float
    {
        $pitches = $this->pitches($value);
        $nominal = $pitches * $this->pitch->steps();
        $allowed = $this->lengthAt($this->limit, $pitches) - $nominal;

        return max(0.0, min(1.0, 1 - ($value->steps() - $nominal) / $allowed));
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
        $millimetres = fn (int $steps): float => $steps / Unit::Millimetre->stepsPerUnit();
        $limit = $millimetres($this->lengthAt($this->limit, self::PITCHES));
        $new = $millimetres(self::PITCHES * $this->pitch->steps());

        return new WearPath(false, $limit, $new, $limit - $new, $life, short: [$millimetres($this->longestByCaliper()), self::PITCHES / self::PITCHES_OF_A_CALIPER]);
    }

    public function marks(): array
    {
        return ['watch' => Length::ofNanometres($this->lengthAt($this->watch, self::PITCHES)), 'limit' => Length::ofNanometres($this->lengthAt($this->limit, self::PITCHES))];
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

    /** Over how many pitches a length was measured. */
    private function pitches(Quantity $measured): int
    {
        return $measured->steps() < $this->longestByCaliper() ? self::PITCHES_OF_A_CALIPER : self::PITCHES;
    }

    /** Nanometres from which on a length is one over all pitches: half-way between the two. */
    private function longestByCaliper(): int
    {
        return intdiv(self::PITCHES + self::PITCHES_OF_A_CALIPER, 2) * $this->pitch->steps();
    }

    /** Nanometres over so many pitches at so many percent. */
    private function lengthAt(Quantity $percent, int $pitches): int
    {
        $nominal = $pitches * $this->pitch->steps();

        return $nominal + intdiv($nominal * $percent->steps(), 100 * Amount::STEPS_PER_UNIT);
    }

    /** Nanometres over so many pitches up to which it lasts; the outlook is told over all of them. */
    private function turnsAt(SeasonOutlook $outlook, int $pitches): int
    {
        return intdiv($outlook->turnsAt->steps() * $pitches, self::PITCHES);
    }
}
