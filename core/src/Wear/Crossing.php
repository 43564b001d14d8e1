<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** Where something that only rises passes 0. */
final class Crossing
{
    private const ROUNDS = 60;

    /**
     * False position, with the end that stays put weighed down (Illinois; Dowell and Jarratt, BIT 11, 1971).
     *
     * @param  callable(float): float  $rising  0 or less at the low end, 0 or more at the high end
     * @param  float  $near  how near is near enough
     */
    public static function of(callable $rising, float $low, float $high, float $near): float
    {
        [$below, $above] = [$rising($low), $rising($high)];
        $stayed = 0;
        for ($round = 0; $round < self::ROUNDS && $high - $low > $near; $round++) {
            $share = $above > $below ? -$below / ($above - $below) : 0.5;
            // Never less than a little from either end, so that the two close in.
            $at = $low + ($high - $low) * min(0.98, max(0.02, $share));
            $value = $rising($at);
            if ($value < 0) {
                [$low, $below] = [$at, $value];
                $above = $stayed === 1 ? $above / 2 : $above;
                $stayed = 1;
            } else {
                [$high, $above] = [$at, $value];
                $below = $stayed === -1 ? $below / 2 : $below;
                $stayed = -1;
            }
            if (abs($value) < 1e-7) {
                return $at;
            }
        }

        return $high;
    }
}
