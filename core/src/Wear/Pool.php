<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * What the items of one kind on one planter say together: random effects by DerSimonian and Laird (Controlled Clinical
 * Trials 7, 1986), their mean held weakly to the nominal rate, which joins always and matters only where there is little
 * else. Rates per metre.
 */
final readonly class Pool
{
    /** Items of one kind differ by this share of their mean at least. */
    private const LEAST_SPREAD = 0.1;

    /** How far items of one kind usually differ, as a share of their mean. */
    private const USUAL_SPREAD = 0.21;

    /** How unsure that is, as a standard deviation of its square, in multiples of it. */
    private const SPREAD_SD = 2.0;

    /** The nominal rate says little: it may be off by all of itself. */
    private const NOMINAL_SD = 1.0;

    private function __construct(
        /** Mean rate. */
        public float $mean,
        /** Variance between items, as the items have it. */
        public float $between,
        /** The same as it is gone by: what the items have, weighed against what is usual by how much they can tell of it. */
        public float $scatter,
        /** Variance of the mean itself. */
        public float $ofMean,
        /** Items with a rate of their own. */
        public int $items,
        /** The mean by the items alone, and how sure it is; null where no item has a rate of its own. */
        private ?float $ownMean,
        private float $ownMeanSd,
        private float $nominal,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $rates  of each item, with its variance
     * @param  float  $nominal  over 0
     */
    public static function of(array $rates, float $nominal): self
    {
        $count = count($rates);
        $prior = 1 / (self::NOMINAL_SD * $nominal) ** 2;
        $between = self::between($rates);
        [$ownMean, $ownWeight] = self::mean($rates, $between, 0.0, 0.0);
        [$mean, $weight] = self::mean($rates, $between, $nominal, $prior);
        $least = self::leastSpread($mean, $nominal) ** 2;

        return new self(
            $mean, max($between, $least), max($least, self::scatter($rates, $between, self::spread(self::USUAL_SPREAD, $mean, $nominal) ** 2)), 1 / $weight, $count,
            $count === 0 ? null : $ownMean, $count === 0 ? INF : 1 / sqrt($ownWeight), $nominal,
        );
    }

    /**
     * The estimate of DerSimonian and Laird says little where the items' own rates are unsure: its variance is about
     * 2 (v + tau^2)^2 / (k - 1), with v the harmonic mean of theirs.
     *
     * @param  list<array{float, float}>  $rates
     */
    private static function scatter(array $rates, float $between, float $usual): float
    {
        $count = count($rates);
        if ($count < 2) {
            return $usual;
        }
        $variance = $count / array_sum(array_map(static fn (array $rate): float => 1 / $rate[1], $rates));
        $ofBetween = ($count - 1) / (2 * ($variance + $usual) ** 2);
        $ofUsual = 1 / (self::SPREAD_SD * $usual) ** 2;

        return ($between * $ofBetween + $usual * $ofUsual) / ($ofBetween + $ofUsual);
    }

    /** How far items of one kind scatter at least, as a standard deviation; never nothing, even where nothing wears. */
    public static function leastSpread(float $mean, float $nominal): float
    {
        return self::spread(self::LEAST_SPREAD, $mean, $nominal);
    }

    private static function spread(float $share, float $mean, float $nominal): float
    {
        return $share * max($mean, self::LEAST_SPREAD * $nominal);
    }

    /**
     * Whether the items seem to grow back, all in all, where wear should have shown: then the readings or the figures are wrong. By more than
     * luck they lose less than half of what they nominally would.
     */
    public function growsBack(): bool
    {
        return $this->ownMean !== null && $this->ownMean < 0 && $this->ownMean + 2 * $this->ownMeanSd < $this->nominal / 2;
    }

    /**
     * @param  list<array{float, float}>  $rates
     * @param  float  $prior  that joins, with its precision
     * @return array{float, float} the mean and its precision
     */
    private static function mean(array $rates, float $between, float $prior, float $precision): array
    {
        $weight = $precision;
        $sum = $prior * $precision;
        foreach ($rates as [$rate, $variance]) {
            $weight += 1 / ($variance + $between);
            $sum += $rate / ($variance + $between);
        }

        return [$weight > 0 ? $sum / $weight : 0.0, $weight];
    }

    /**
     * Variance between items by DerSimonian and Laird, 0 or more.
     *
     * @param  list<array{float, float}>  $rates  of each item, with its variance
     */
    public static function between(array $rates): float
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
