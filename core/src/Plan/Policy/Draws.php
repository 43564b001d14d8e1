<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Ustrel\Core\Wear\Normal;

/** Random numbers, many at a time, the same for the same seed: sixteen bits each, by which normal deviates are looked up. */
final class Draws
{
    public const CASES = 65536;

    /** From so many standard deviations over 0 on no case is under it. */
    private const SURELY_OVER = 4.2;

    private Randomizer $randomizer;

    /** @var list<float>|null */
    private static ?array $quantiles = null;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /**
     * @param  int<1, max>  $count
     * @return array<int, int> sixteen random bits each, from 1 on
     */
    public function bits(int $count): array
    {
        /** @var array<int, int> */
        return unpack('v*', $this->randomizer->getBytes(2 * $count));
    }

    /** Of how many cases of the bits a normal value with that mean over its deviation is under 0. */
    public static function casesUnder(float $meanOverSd): int
    {
        return $meanOverSd > self::SURELY_OVER ? 0 : min(self::CASES - 1, (int) (self::CASES * Normal::under(-$meanOverSd)));
    }

    /** @return list<float> the deviate that each case of the bits stands for */
    public static function quantiles(): array
    {
        if (self::$quantiles !== null) {
            return self::$quantiles;
        }
        $quantiles = [];
        for ($case = 0; $case < self::CASES; $case++) {
            $quantiles[] = self::quantile(($case + 0.5) / self::CASES);
        }

        return self::$quantiles = $quantiles;
    }

    /** Acklam's rational approximation (2003), wrong by less than 1.2e-9 of itself. */
    private static function quantile(float $chance): float
    {
        if ($chance > 0.5) {
            return -self::quantile(1 - $chance);
        }
        if ($chance < 0.02425) {
            $q = sqrt(-2 * log($chance));

            return (((((-7.784894002430293e-03 * $q - 3.223964580411365e-01) * $q - 2.400758277161838) * $q - 2.549732539343734) * $q + 4.374664141464968) * $q + 2.938163982698783)
                / ((((7.784695709041462e-03 * $q + 3.224671290700398e-01) * $q + 2.445134137142996) * $q + 3.754408661907416) * $q + 1);
        }
        $q = $chance - 0.5;
        $r = $q * $q;

        return (((((-3.969683028665376e+01 * $r + 2.209460984245205e+02) * $r - 2.759285104469687e+02) * $r + 1.383577518672690e+02) * $r - 3.066479806614716e+01) * $r + 2.506628277459239) * $q
            / (((((-5.447609879822406e+01 * $r + 1.615858368580409e+02) * $r - 1.556989798598859e+02) * $r + 6.680131188771972e+01) * $r - 1.328068155288572e+01) * $r + 1);
    }
}
