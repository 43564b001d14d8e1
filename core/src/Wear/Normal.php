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

    /** Nodes and weights of the rule of Gauss and Legendre with twenty points: those over 0. */
    private const LEGENDRE = [
        [0.0765265211334973, 0.1527533871307258], [0.2277858511416451, 0.1491729864726037], [0.3737060887154196, 0.1420961093183820],
        [0.5108670019508271, 0.1316886384491766], [0.6360536807265150, 0.1181945319615184], [0.7463319064601508, 0.1019301198172404],
        [0.8391169718222188, 0.0832767415767048], [0.9122344282513259, 0.0626720483341091], [0.9639719272779138, 0.0406014298003869],
        [0.9931285991850949, 0.0176140071391521],
    ];

    /** Over this correlation the integral is taken another way. */
    private const CLOSE = 0.925;

    /**
     * The chance that two normal values with a correlation are both under their limits: Drezner and Wesolowsky (J. Statist.
     * Comput. Simul. 35, 1990) as revised by Genz (Statistics and Computing 14, 2004). As exact as `under`.
     *
     * @param  float  $correlation  -1 to 1
     */
    public static function bothUnder(float $one, float $other, float $correlation): float
    {
        $correlation = max(-1.0, min(1.0, $correlation));
        $chance = abs($correlation) < self::CLOSE
            ? self::bothByAngle($one, $other, $correlation)
            : self::bothWhenClose(-$one, -$other, $correlation);

        return max(0.0, min(1.0, $chance));
    }

    private static function bothByAngle(float $one, float $other, float $correlation): float
    {
        $angle = asin($correlation);
        $half = ($one ** 2 + $other ** 2) / 2;
        $product = $one * $other;
        $sum = 0.0;
        foreach (self::LEGENDRE as [$node, $weight]) {
            foreach ([1 - $node, 1 + $node] as $at) {
                $sine = sin($angle * $at / 2);
                $sum += $weight * exp(($sine * $product - $half) / (1 - $sine ** 2));
            }
        }

        return $sum * $angle / (4 * M_PI) + self::under($one) * self::under($other);
    }

    /** The same for two values over their limits, expanded about a correlation of 1 or -1. */
    private static function bothWhenClose(float $one, float $other, float $correlation): float
    {
        $sign = $correlation < 0 ? -1.0 : 1.0;
        $other *= $sign;
        $product = $one * $other;
        $sum = 0.0;
        if (abs($correlation) < 1) {
            $square = (1 - $correlation) * (1 + $correlation);
            $a = sqrt($square);
            $apart = ($one - $other) ** 2;
            $c = (4 - $product) / 8;
            $d = (12 - $product) / 16;
            $sum = $a * exp(max(-700.0, -($apart / $square + $product) / 2)) * (1 - $c * ($apart - $square) * (1 - $d * $apart / 5) / 3 + $c * $d * $square ** 2 / 5);
            if ($product > -100) {
                $b = sqrt($apart);
                $sum -= exp(-$product / 2) * sqrt(2 * M_PI) * self::under(-$b / $a) * $b * (1 - $c * $apart * (1 - $d * $apart / 5) / 3);
            }
            foreach (self::LEGENDRE as [$node, $weight]) {
                foreach ([1 - $node, 1 + $node] as $at) {
                    $x = ($a * $at / 2) ** 2;
                    $root = sqrt(1 - $x);
                    $exponent = -($apart / $x + $product) / 2;
                    if ($exponent > -100) {
                        $sum += $a / 2 * $weight * exp($exponent) * (exp(-$product * (1 - $root) / (2 * (1 + $root))) / $root - (1 + $c * $x * (1 + $d * $x)));
                    }
                }
            }
            $sum /= -2 * M_PI;
        }

        return $sign > 0
            ? $sum + self::under(-max($one, $other))
            : -$sum + ($other > $one ? self::under(-$one) - self::under(-$other) : 0.0);
    }
}
