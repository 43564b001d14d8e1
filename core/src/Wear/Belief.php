<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * What is held of an item: how much room it had when it was last read, or when it was fitted, at what rate it wears, and
 * how sure both are.
 */
final readonly class Belief
{
    private function __construct(
        /** The use at which the room is known, effective metres. */
        public float $use,
        /** Millimetres. */
        public float $room,
        public float $roomVariance,
        /** Millimetres a metre. */
        public float $rate,
        public float $rateVariance,
        /** Covariance of the errors of room and rate. */
        public float $covariance,
    ) {
    }

    /**
     * The rate is the precision-weighted mean of the item's own and the pool's; the share that hangs on the pool adds
     * the pool's own uncertainty.
     *
     * @param  float  $variance  of one reading, square millimetres
     * @param  array<int, float>  $weights  of the item's points
     */
    public static function of(Item $item, Pool $pool, float $variance, array $weights): self
    {
        $own = OwnRate::of($item, $variance, $weights);
        $precision = $own === null ? 0.0 : 1 / $own->variance();
        $share = $precision / ($precision + 1 / $pool->between);
        $rate = ($own === null ? 0.0 : $share * $own->rate()) + (1 - $share) * $pool->mean;
        $rateVariance = 1 / ($precision + 1 / $pool->between) + (1 - $share) ** 2 * $pool->ofMean;
        if ($own !== null && $pool->items > 3) {
            // What is not known of the spread between items (Morris, J. Am. Stat. Assoc. 78, 1983).
            $rateVariance += 2 / ($pool->items - 3) * ((1 - $share) * ($own->rate() - $pool->mean)) ** 2;
        }

        $last = self::last($item, $weights, $rate);
        if ($own === null || $last === null) {
            $startVariance = $item->startIsRead ? $variance : 0.0;

            return new self(0.0, (float) $item->start, $startVariance, $rate, $rateVariance, $own === null ? 0.0 : $share * $startVariance * $own->pull());
        }

        // A reading that is too low makes the rate too high: by u / sum u^2 for each millimetre.
        return new self($last->use, $last->room, $variance, $rate, $rateVariance, -$share * $variance * $last->use / $own->squares);
    }

    /**
     * Where the item is now: its newest reading. One that is doubted does so only where it shows less room than the rate
     * would have it: a part that measures near its limit is taken to be there until it is measured again.
     *
     * @param  array<int, float>  $weights
     */
    private static function last(Item $item, array $weights, float $rate): ?Point
    {
        $last = null;
        foreach ($item->points as $index => $point) {
            $counts = $weights[$index] >= 1.0 || $point->room < (float) $item->start - $rate * $point->use;
            if ($counts && ($last === null || $point->use >= $last->use)) {
                $last = $point;
            }
        }

        return $last;
    }

    /** Room expected at a use, millimetres. */
    public function room(float $use): float
    {
        return $this->room - $this->rate * ($use - $this->use);
    }

    /** Standard deviation of the room at a use, millimetres. */
    public function sd(float $use): float
    {
        $further = $use - $this->use;

        return sqrt(max(0.0, $this->roomVariance + $this->rateVariance * $further ** 2 - 2 * $this->covariance * $further));
    }

    /** The chance that the limit is reached by a use: the normal tail. */
    public function chanceBy(float $use): float
    {
        $sd = $this->sd($use);
        if ($sd === 0.0) {
            return $this->room($use) <= 0 ? 1.0 : 0.0;
        }

        return Normal::under(-$this->room($use) / $sd);
    }

    /**
     * The use by which the limit is reached with a chance, given as its normal deviate: with x further than now, the
     * root of (rate x - room)^2 = z^2 sd(x)^2 on the side that z is on.
     *
     * @return float|null effective metres; null where so many never reach it
     */
    public function useAt(float $z): ?float
    {
        if ($z === 0.0) {
            return match (true) {
                $this->room <= 0 => $this->use,
                $this->rate > 0 => $this->use + $this->room / $this->rate,
                default => null,
            };
        }
        $a = $this->rate ** 2 - $z ** 2 * $this->rateVariance;
        $b = -2 * ($this->rate * $this->room - $z ** 2 * $this->covariance);
        $c = $this->room ** 2 - $z ** 2 * $this->roomVariance;
        $under = $b ** 2 - 4 * $a * $c;
        if ($this->room <= 0 || ($z < 0 && $c <= 0)) {
            return $this->use;
        }
        if ($under < 0) {
            return null;
        }
        $q = -($b + ($b < 0 ? -1 : 1) * sqrt($under)) / 2;
        $roots = array_filter(
            [$a == 0.0 ? null : $q / $a, $q == 0.0 ? null : $c / $q],
            fn (?float $further): bool => $further !== null && $further >= 0 && $z * -$this->room($this->use + $further) >= -1e-9 * $this->room,
        );

        return $roots === [] ? null : $this->use + min($roots);
    }
}
