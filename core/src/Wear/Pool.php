<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * What the items of one kind on one planter say together: random effects by DerSimonian and Laird (Controlled Clinical
 * Trials 7, 1986), their mean held weakly to the nominal rate. Rates in millimetres a metre.
 */
final readonly class Pool
{
    /** Items of one kind differ by this share of their mean at least. */
    private const LEAST_SPREAD = 0.1;

    /** The nominal rate says little: it may be off by all of itself. */
    private const NOMINAL_SD = 1.0;

    private function __construct(
        /** Mean rate. */
        public float $mean,
        /** Variance between items. */
        public float $between,
        /** Variance of the mean itself. */
        public float $ofMean,
        /** Items with a rate of their own. */
        public int $items,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $rates  of each item, with its variance
     * @param  float  $nominal  over 0
     */
    public static function of(array $rates, float $nominal): self
    {
        $prior = (self::NOMINAL_SD * $nominal) ** 2;
        $between = self::between($rates);
        $weight = 1 / $prior;
        $sum = $nominal / $prior;
        foreach ($rates as [$rate, $variance]) {
            $weight += 1 / ($variance + $between);
            $sum += $rate / ($variance + $between);
        }
        $mean = $sum / $weight;

        return new self($mean, max($between, self::leastSpread($mean, $nominal) ** 2), 1 / $weight, count($rates));
    }

    /** How far items of one kind scatter at least, as a standard deviation; never nothing, even where nothing wears. */
    public static function leastSpread(float $mean, float $nominal): float
    {
        return self::LEAST_SPREAD * max($mean, self::LEAST_SPREAD * $nominal);
    }

    /** @param  list<array{float, float}>  $rates */
    private static function between(array $rates): float
    {
        $sum = 0.0;
        $squares = 0.0;
        $weighted = 0.0;
        foreach ($rates as [$rate, $variance]) {
            $sum += 1 / $variance;
            $squares += 1 / $variance ** 2;
            $weighted += $rate / $variance;
        }
        if (count($rates) < 2) {
            return 0.0;
        }
        $fixed = $weighted / $sum;
        $scatter = 0.0;
        foreach ($rates as [$rate, $variance]) {
            $scatter += ($rate - $fixed) ** 2 / $variance;
        }

        return max(0.0, ($scatter - (count($rates) - 1)) / ($sum - $squares / $sum));
    }
}
