<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** The one in the middle, or the mean of the two that are. */
final class Median
{
    /** @param  non-empty-array<float>  $values */
    public static function of(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
