<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

use Ustrel\Core\Measure\Median;

/**
 * At which notch each row is to be set so that all plant as deep: a notch common to all, and what the row carries because its
 * stop lifts higher or lower than the rest.
 */
final class SetNotches
{
    /** With fewer rows nobody knows which of them is out. */
    private const FEWEST = 3;

    /**
     * The common notch is the one that most rows are set to, their own offsets taken off: the median.
     *
     * @param  list<int>  $rows
     * @param  array<int, float>  $set  notches as they are set now, by row
     * @param  array<int, float>  $lifts  notches at which the wheels just lift, by row; none where nobody measured
     * @return array<int, float> notches by row, to the half; none with fewer than three rows set, or while only some of the rows are
     *                           measured; and none for a row that is not
     */
    public static function aims(array $rows, array $set, array $lifts, DepthStrategy $school): array
    {
        if (count($set) < self::FEWEST) {
            return [];
        }
        $isMeasured = $lifts !== [] && $school === DepthStrategy::Handle;
        if ($isMeasured && ! DepthIndex::isTold(count($lifts), count($rows))) {
            return [];
        }
        $offsets = $lifts === [] || $school === DepthStrategy::Reindex ? [] : self::offsets($lifts);
        $known = $isMeasured ? array_intersect_key($set, $offsets) : $set;
        if (count($known) < self::FEWEST) {
            return [];
        }
        $common = Median::of(array_map(static fn (int $row): float => $known[$row] - ($offsets[$row] ?? 0.0), array_keys($known)));
        $aims = [];
        foreach ($isMeasured ? array_intersect($rows, array_keys($offsets)) : $rows as $row) {
            $aims[$row] = round(2 * ($common + ($offsets[$row] ?? 0.0))) / 2;
        }

        return $aims;
    }

    /**
     * @param  non-empty-array<int, float>  $lifts
     * @return array<int, float>
     */
    private static function offsets(array $lifts): array
    {
        $offsets = [];
        foreach (DepthIndex::of($lifts, 0.0, DepthStrategy::Handle)->rows as $row) {
            $offsets[$row->row] = $row->move;
        }

        return $offsets;
    }
}
