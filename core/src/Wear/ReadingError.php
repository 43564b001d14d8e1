<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Unit\Catalogue;

/**
 * How far a reading may be off: how well it is measured, which is learned from how the readings lie about each part's own
 * line, and how coarsely it is read.
 */
final readonly class ReadingError
{
    /** Nobody measures better than this, millimetres. */
    public const LEAST_SD = 0.3;

    /** Nor so badly, millimetres. */
    public const MOST_SD = 10.0;

    /** What is taken at first weighs as much as so many readings to spare. */
    private const WEIGHT = 4;

    /** A part whose readings lie about its line farther than one in a thousand does is not learned from. */
    private const FAR = 3.09;

    /** Rounds of leaving out and learning anew. */
    private const ROUNDS = 4;

    /**
     * @param  float  $sd  of the measuring itself, millimetres
     * @param  float  $step  that is read to where a reading does not say it, millimetres
     */
    public function __construct(
        public float $sd,
        public float $step,
    ) {
    }

    /** @return list<CheckKey> those whose figure wears */
    public static function checks(): array
    {
        return array_values(array_filter(
            CheckKey::shipped(),
            static fn (CheckKey $check): bool => array_key_exists('life', Catalogue::shipped()->check($check)->rule->figures()),
        ));
    }

    /** What is taken at first: 1.0 mm with a tape, less with a caliper, which reads small parts. */
    public static function of(CheckKey $check): self
    {
        return match ($check->value) {
            // Two cards slid in until they stop, and a tape between them.
            'blade_contact_length' => new self(1.5, 25.4 / 8),
            // A caliper.
            'guard_width', 'chain_length' => new self(0.3, 25.4 / 64),
            'arm_play_vertical', 'arm_play_side', 'gauge_arm_play', 'closing_tail_play' => new self(0.4, 25.4 / 32),
            default => new self(1.0, 25.4 / 16),
        };
    }

    /** In the units of the room, squared: SD^2 + step^2 / 12, the variance of a uniform error of rounding. */
    public function variance(?Point $point = null): float
    {
        $step = $point->step ?? $this->step;

        return ($point->gain ?? 1.0) ** 2 * ($this->sd ** 2 + $step ** 2 / 12) + ($point->spread ?? 0.0);
    }

    /**
     * The same with a measuring SD by what was read:
     * SD^2 = (4 s0^2 + sum over parts of (R^2 - what rounding and the start's tolerance make of it)) / (4 + sum(n - 1)),
     * with R^2 the squares about the part's own line through its start, and n its readings since. A part with a gross error is left out.
     *
     * @param  list<Item>  $items
     */
    public function learnedFrom(array $items): self
    {
        return $this->pooled([$this->spread($items)]);
    }

    /**
     * The same from several planters that are measured with the same hands.
     *
     * @param  list<Spread>  $spreads
     */
    public function pooled(array $spreads): self
    {
        $squares = self::WEIGHT * $this->sd ** 2;
        $spare = (float) self::WEIGHT;
        foreach ($spreads as $spread) {
            $squares += $spread->squares;
            $spare += $spread->spare;
        }

        return new self(self::sd($squares, $spare), $this->step);
    }

    /**
     * What the parts of one planter tell, gross errors left out.
     *
     * @param  list<Item>  $items
     */
    public function spread(array $items): Spread
    {
        $lines = [];
        foreach ($items as $item) {
            $line = Scatter::of($item, $this);
            if ($line !== null) {
                $lines[] = $line;
            }
        }
        $sd = $this->typicalOf($lines);
        $squares = 0.0;
        $spare = 0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $squares = 0.0;
            $spare = 0;
            foreach ($lines as $line) {
                if ($line->squares <= $line->chiSquared(self::FAR) / $line->spare * $line->expected($sd)) {
                    $squares += $line->measured();
                    $spare += $line->spare;
                }
            }
            $sd = self::sd(self::WEIGHT * $this->sd ** 2 + $squares, self::WEIGHT + $spare);
        }

        return new Spread($squares, $spare);
    }

    private static function sd(float $squares, float $spare): float
    {
        return max(self::LEAST_SD, sqrt(max(0.0, $squares / $spare)));
    }

    /**
     * Where to start from, unmoved by gross errors: half of the parts lie nearer than the median of chi-squared.
     *
     * @param  list<Scatter>  $lines
     */
    private function typicalOf(array $lines): float
    {
        if (count($lines) < self::WEIGHT) {
            return $this->sd;
        }
        $ratios = array_map(static fn (Scatter $line): float => $line->measured() / $line->chiSquared(0.0), $lines);
        sort($ratios);
        $middle = $ratios[intdiv(count($ratios), 2)] ?? 0.0;

        return max($this->sd / 2, sqrt(max(0.0, $middle)));
    }
}
