<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** The standard normal distribution. */
final class Normal
{
    /** Between its 10th and its 90th percentile lies 80 %. */
    public const P90 = 1.2815515655446004;

    /** Between its 2.5th and its 97.5th percentile lies 95 %. */
    public const P975 = 1.959963984540054;

    /** The chance of a value under z. Abramowitz and Stegun 7.1.26; wrong by less than 1.5e-7. */
    public static function under(float $z): float
    {
        $x = abs($z) / M_SQRT2;
        $t = 1 / (1 + 0.3275911 * $x);
        $tail = $t * (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429)))) * exp(-$x * $x) / 2;

        return $z < 0 ? $tail : 1 - $tail;
    }

    /**
     * The value that so large a share lies under, found by halving.
     *
     * @param  float  $chance  between 0 and 1, both excluded
     */
    public static function quantile(float $chance): float
    {
        if ($chance <= 0 || $chance >= 1) {
            throw ImpossibleChance::of($chance);
        }
        $low = -8.0;
        $high = 8.0;
        for ($round = 0; $round < 50; $round++) {
            $middle = ($low + $high) / 2;
            if (self::under($middle) < $chance) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
