<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Student's t distribution, for intervals from a few measurements. */
final class Student
{
    /**
     * The value that a share of all lies under, by bisection of the distribution: exact to 1e-9.
     *
     * @param  float  $share  over 0 and under 1
     * @param  int  $degrees  of freedom, 1 or more
     */
    public static function quantile(float $share, int $degrees): float
    {
        if ($share < 0.5) {
            return -self::quantile(1 - $share, $degrees);
        }
        $high = 1.0;
        while (self::under($high, $degrees) < $share) {
            $high *= 2;
        }
        $low = 0.0;
        while ($high - $low > 1e-9 * max(1.0, $high)) {
            $middle = ($low + $high) / 2;
            [$low, $high] = self::under($middle, $degrees) < $share ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /** The share of all under a value; Abramowitz and Stegun 26.7.3 and 26.7.4, sums of cosines of the angle. */
    public static function under(float $value, int $degrees): float
    {
        $angle = atan($value / sqrt($degrees));
        $cosine = cos($angle);
        $term = $degrees % 2 === 1 ? $cosine : 1.0;
        $sum = $degrees === 1 ? 0.0 : $term;
        for ($step = $degrees % 2 === 1 ? 3 : 2; $step < $degrees; $step += 2) {
            $term *= ($step - 1) / $step * $cosine ** 2;
            $sum += $term;
        }
        $between = $degrees % 2 === 1
            ? 2 / M_PI * ($angle + sin($angle) * $sum)
            : sin($angle) * $sum;

        return (1 + $between) / 2;
    }
}
