<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\Quantity;

/** What the planter's rows read at one check: their middle, and how far they scatter about it. */
final readonly class Rows
{
    /** Fewer rows than these have no middle worth the name. */
    private const FEWEST = 3;

    /** Makes the median absolute deviation of a normal sample an estimate of its standard deviation. */
    private const MAD_TO_SD = 1.4826;

    private function __construct(
        public Quantity $median,
        /** Estimate of the standard deviation by the median absolute deviation, in steps. */
        public float $spread,
        public int $count,
    ) {
    }

    /** @param  list<Quantity>  $readings */
    public static function of(array $readings): ?self
    {
        if (count($readings) < self::FEWEST) {
            return null;
        }
        $steps = array_map(static fn (Quantity $reading): int => $reading->steps(), $readings);
        $median = self::median($steps);
        $deviation = self::median(array_map(static fn (int $value): int => abs($value - $median), $steps));

        return new self($readings[0]->unit()->quantity($median), self::MAD_TO_SD * $deviation, count($steps));
    }

    /** @param  non-empty-list<int>  $steps */
    private static function median(array $steps): int
    {
        sort($steps);
        $middle = intdiv(count($steps), 2);

        return count($steps) % 2 === 1 ? $steps[$middle] : intdiv($steps[$middle - 1] + $steps[$middle], 2);
    }
}
