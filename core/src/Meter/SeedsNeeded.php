<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** How many seeds a run of each of two meters needs, so that a difference is found four times in five and falsely once in twenty. */
final class SeedsNeeded
{
    /** Of 5 % on two sides, and of 80 %. */
    private const FALSELY = 1.959963984540054;

    private const FOUND = 0.8416212335729143;

    /**
     * Fleiss, Statistical Methods for Rates and Proportions, without correction for continuity.
     *
     * @param  float  $one  singulation, over 0 and under 1
     *
     * @throws InvalidRun
     */
    public static function toTell(float $one, float $other): int
    {
        if ($one <= 0 || $one >= 1 || $other <= 0 || $other >= 1 || $one === $other) {
            throw InvalidRun::shares();
        }
        $middle = ($one + $other) / 2;
        $sum = self::FALSELY * sqrt(2 * $middle * (1 - $middle)) + self::FOUND * sqrt($one * (1 - $one) + $other * (1 - $other));

        return (int) ceil(($sum / ($one - $other)) ** 2);
    }
}
