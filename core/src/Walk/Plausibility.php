<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Spec\Rule;

/** What would be hard to believe at a place. A doubt asks; it never refuses. */
final class Plausibility
{
    /** A tape is read to 1/16 in; a part has not grown by less than that. */
    private const READING_STEP = Length::NANOMETRES_PER_INCH / 16;

    /** Fewer other rows than these say nothing. */
    private const FEWEST_ROWS = 4;

    /** The usual cut for an outlier by median and MAD (Iglewicz and Hoaglin, 1993). */
    private const CUT = 3.5;

    /** Makes the MAD of a normal sample an estimate of its standard deviation. */
    private const MAD_TO_SD = 1.4826;

    /** Rows that agree to a hair would make every other row an outlier; their spread counts as this much at least. */
    private const SMALLEST_SPREAD = Length::NANOMETRES_PER_INCH / 8;

    /**
     * What to doubt at one place by the part itself.
     *
     * @param  Length|null  $last  what the same place read in an earlier season
     * @return list<Doubt>
     */
    public static function ofPlace(Rule $rule, ?Length $last): array
    {
        $doubts = [];
        $largest = $rule->largest();
        if ($largest !== null) {
            $doubts[] = new Doubt(DoubtCode::LargerThanNew, $largest, above: $largest);
        }
        if ($last !== null && $rule->onlyShrinks()) {
            $grown = $last->plus(Length::ofNanometres((int) self::READING_STEP));
            $doubts[] = new Doubt(DoubtCode::GrownSinceLast, $last, above: $grown);
        }

        return $doubts;
    }

    /**
     * What to doubt on any row, by what the planter's other rows read in the same walk.
     *
     * @param  list<Length>  $readings  of one check, all rows and sides read so far
     */
    public static function ofRows(array $readings): ?Doubt
    {
        if (count($readings) < self::FEWEST_ROWS) {
            return null;
        }

        $values = array_map(static fn (Length $reading): int => $reading->nanometres, $readings);
        $median = self::median($values);
        $deviation = self::median(array_map(static fn (int $value): int => abs($value - $median), $values));
        $spread = max(self::MAD_TO_SD * $deviation, (float) self::SMALLEST_SPREAD);
        $reach = Length::ofNanometres((int) round(self::CUT * $spread));
        $middle = Length::ofNanometres($median);

        return new Doubt(DoubtCode::FarFromRows, $middle, $middle->minus($reach), $middle->plus($reach));
    }

    /** @param  non-empty-list<int>  $values */
    private static function median(array $values): int
    {
        sort($values);
        $middle = intdiv(count($values), 2);

        return count($values) % 2 === 1
            ? $values[$middle]
            : intdiv($values[$middle - 1] + $values[$middle], 2);
    }
}
