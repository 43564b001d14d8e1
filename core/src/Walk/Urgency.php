<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/**
 * How pressing a planter is in the yard: the rows that still need a hand, per day that is left until planting.
 *
 * A row to change weighs five unwalked ones: it takes parts and about an hour where a row takes minutes to walk.
 */
final class Urgency
{
    private const ROW_TO_CHANGE = 5;

    /** A planter without a date is put behind any that has one this near. */
    private const DAYS_WITHOUT_DATE = 365;

    /**
     * @param  int  $rowsUnwalked  rows with anything unchecked
     * @param  int  $rowsToChange  rows whose worst verdict is change or failed
     * @param  int|null  $daysToPlanting  negative once planting has begun
     * @return float 0 or more; the greater, the more pressing
     */
    public static function of(int $rowsUnwalked, int $rowsToChange, ?int $daysToPlanting): float
    {
        $days = max(1, $daysToPlanting ?? self::DAYS_WITHOUT_DATE);

        return ($rowsUnwalked + self::ROW_TO_CHANGE * $rowsToChange) / $days;
    }
}
