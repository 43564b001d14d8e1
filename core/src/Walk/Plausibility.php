<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Rows;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\Trend;

/** What would be hard to believe at a place. A doubt asks; it never refuses. */
final class Plausibility
{
    /** Fewer other rows than these say nothing. */
    private const FEWEST_ROWS = 4;

    /** The usual cut for an outlier by median and MAD (Iglewicz and Hoaglin, 1993). */
    private const CUT = 3.5;

    /**
     * What to doubt at one place by the part itself. By less than the reading step nothing has grown or shrunk.
     *
     * @param  Quantity|null  $last  what the same place read in an earlier season
     * @return list<Doubt>
     */
    public static function ofPlace(Rule $rule, ?Quantity $last): array
    {
        $doubts = [];
        $largest = $rule->largest();
        if ($largest !== null) {
            $doubts[] = new Doubt(DoubtCode::LargerThanNew, $largest, above: $largest->steps());
        }
        if ($last !== null && $rule->trend() === Trend::Shrinks) {
            $doubts[] = new Doubt(DoubtCode::GrownSinceLast, $last, above: $last->steps() + $last->unit()->readingStep());
        }
        if ($last !== null && $rule->trend() === Trend::Grows) {
            $doubts[] = new Doubt(DoubtCode::ShrunkSinceLast, $last, below: $last->steps() - $last->unit()->readingStep());
        }

        return $doubts;
    }

    /**
     * What to doubt on any row, by what the planter's other rows read in the same walk: once half of them are read, or the first that
     * were typed would speak for all.
     *
     * @param  list<Quantity>  $readings  of one check, all rows and sides read so far
     * @param  int  $places  rows and sides that the check has
     */
    public static function ofRows(array $readings, int $places): ?Doubt
    {
        $rows = Rows::of($readings);
        if ($rows === null || $rows->count < max(self::FEWEST_ROWS, $places / 2)) {
            return null;
        }
        // Rows that agree to a hair would make every other row an outlier; two reading steps count at least.
        $reach = (int) round(self::CUT * max($rows->spread, 2.0 * $rows->median->unit()->readingStep()));
        $middle = $rows->median->steps();

        return new Doubt(DoubtCode::FarFromRows, $rows->median, $middle - $reach, $middle + $reach);
    }

    /**
     * Whether a reading that is far from the other rows is what its own last reading leads to: then nothing is surprising about it.
     *
     * @param  Quantity|null  $last  what the same place read in an earlier season
     */
    public static function isAsBefore(Doubt $ofRows, Quantity $value, ?Quantity $last): bool
    {
        return $last !== null && $ofRows->concerns($last) && abs($value->steps() - $last->steps()) <= ((int) $ofRows->above - (int) $ofRows->below) / 2;
    }
}
