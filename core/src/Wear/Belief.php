<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * What is held of an item: how much room it has now, at what rate it wears, and how sure both are. Both are jointly
 * normal; nothing grows back, so the rate is known to be 0 or more.
 */
final readonly class Belief
{
    /** From so many standard deviations over 0 on, that the rate cannot be under it changes nothing. */
    private const SURELY_WEARS = 4.0;

    /** A quantile is found to this share of itself. */
    private const NEAR = 1e-5;

    private function __construct(
        /** Run by now, effective metres. */
        public float $use,
        /** Room now. */
        public float $room,
        public float $roomVariance,
        /** Per metre. */
        public float $rate,
        public float $rateVariance,
        /** Covariance of the errors of room and rate. */
        public float $covariance,
        /** How the rate moves with what is not known of the average of its kind, for one standard deviation of that. */
        public float $sharedRate,
        /** How the room does. */
        public float $sharedRoom,
        /** The farthest that is looked ahead, effective metres. */
        private float $horizon,
    ) {
    }

    /**
     * Start and rate by the item's own readings, the start's tolerance and the pool, as a normal prior of the rate; what is
     * not known of the pool's own mean comes on top.
     *
     * @param  array<int, float>  $weights  of the item's points
     * @param  float  $horizon  the farthest that is looked ahead, effective metres
     */
    public static function of(Item $item, Pool $pool, ReadingError $error, array $weights, float $horizon): self
    {
        $own = OwnRate::of($item, $error, $weights);
        $startVariance = max(1e-9, $item->startVariance($error));
        $precision = $own->precision ?? 1 / $startVariance;
        $uses = $own->uses ?? 0.0;
        $squares = ($own->squares ?? 0.0) + 1 / $pool->scatter;
        $products = ($own->products ?? 0.0) + $pool->mean / $pool->scatter;
        $lost = $own->lost ?? 0.0;
        // The normal equations of what is lost of the start, and the rate: lost by now = rate x use - start's error.
        $determinant = $precision * $squares - $uses ** 2;
        $rate = ($precision * $products - $uses * $lost) / $determinant;
        $off = ($uses * $products - $squares * $lost) / $determinant;
        $rateVariance = $precision / $determinant;
        $offVariance = $squares / $determinant;
        $both = $uses / $determinant;
        // How rate and start move with the pool's mean, and how sure that is.
        [$rateMoves, $offMoves] = [$rateVariance / $pool->scatter, $both / $pool->scatter];
        $rateVariance += $rateMoves ** 2 * $pool->ofMean;
        $offVariance += $offMoves ** 2 * $pool->ofMean;
        $both += $rateMoves * $offMoves * $pool->ofMean;

        return new self(
            $item->use,
            (float) $item->start + $off - $rate * $item->use,
            max(0.0, $offVariance - 2 * $both * $item->use + $rateVariance * $item->use ** 2),
            $rate,
            $rateVariance,
            $both - $rateVariance * $item->use,
            $rateMoves * sqrt($pool->ofMean),
            ($offMoves - $rateMoves * $item->use) * sqrt($pool->ofMean),
            $horizon,
        );
    }

    /** Room expected at a use. */
    public function roomAt(float $use): float
    {
        return $this->room - $this->rate * ($use - $this->use);
    }

    /** Standard deviation of the room at a use. */
    public function sdAt(float $use): float
    {
        $further = $use - $this->use;

        return sqrt(max(0.0, $this->roomVariance + $this->rateVariance * $further ** 2 - 2 * $this->covariance * $further));
    }

    /** The chance that the limit is reached by a use, given that nothing grows back. It never falls with more use. */
    public function chanceBy(float $use): float
    {
        $use = max($use, $this->use);
        $deviate = $this->shortBy($use);
        $wears = $this->wears();
        if ($wears > self::SURELY_WEARS || is_infinite($deviate)) {
            return is_infinite($deviate) ? (float) ($deviate > 0) : Normal::under($deviate);
        }
        if ($wears < -self::SURELY_WEARS) {
            return $this->room <= 0 ? 1.0 : 0.0;
        }
        // Correlation of the room at that use, turned round, with the rate.
        $correlation = ($this->rateVariance * ($use - $this->use) - $this->covariance) / ($this->sdAt($use) * sqrt($this->rateVariance));

        return min(1.0, Normal::bothUnder($deviate, $wears, $correlation) / Normal::under($wears));
    }

    /** The same as its normal deviate; infinite where the rate may be under 0, so that there is none. */
    public function deviateBy(float $use): float
    {
        return $this->wears() > self::SURELY_WEARS ? $this->shortBy($use) : INF;
    }

    /** By how many standard deviations the room at a use is expected to be under 0. */
    private function shortBy(float $use): float
    {
        $sd = $this->sdAt($use);
        $room = $this->roomAt($use);

        return $sd > 0 ? -$room / $sd : ($room <= 0 ? INF : -INF);
    }

    /**
     * How much further it goes until the limit is reached with a chance.
     *
     * @param  float  $deviate  normal deviate of that chance: 0 for a half
     * @return float|null effective metres from now; null where it is out of sight
     */
    public function leftAt(float $deviate): ?float
    {
        $chance = Normal::under($deviate);
        if ($this->chanceBy($this->use) >= $chance) {
            return 0.0;
        }
        if ($this->wears() > self::SURELY_WEARS) {
            return $this->surelyLeftAt($deviate);
        }
        $high = $this->rate > 0 && $this->room > 0 ? min($this->horizon, $this->room / $this->rate) : $this->horizon / 16;
        $low = 0.0;
        while ($this->chanceBy($this->use + $high) < $chance) {
            if ($high >= $this->horizon) {
                return null;
            }
            [$low, $high] = [$high, min($this->horizon, 2 * $high)];
        }

        return Crossing::of(fn (float $further): float => $this->chanceBy($this->use + $further) - $chance, $low, $high, self::NEAR * $high);
    }

    /** The same where the rate is surely over 0: the root of (rate x - room)^2 = z^2 sd(x)^2 on the side that z is on. */
    private function surelyLeftAt(float $z): ?float
    {
        $a = $this->rate ** 2 - $z ** 2 * $this->rateVariance;
        $b = $this->rate * $this->room - $z ** 2 * $this->covariance;
        $c = $this->room ** 2 - $z ** 2 * $this->roomVariance;
        $further = ($b + ($z < 0 ? -1 : 1) * sqrt(max(0.0, $b ** 2 - $a * $c))) / $a;

        return $further > $this->horizon ? null : max(0.0, $further);
    }

    /** How many standard deviations the rate lies over 0. */
    private function wears(): float
    {
        return $this->rateVariance > 0 ? $this->rate / sqrt($this->rateVariance) : INF;
    }
}
