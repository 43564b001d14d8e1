<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** How a reading came about, recorded as what it is. */
enum Entry: string
{
    case Typed = 'typed';
    /** The technician looked and said "same as last time". */
    case SameAsLast = 'same_as_last';
    /** The rest of the station on this row was looked over and found sound. */
    case RestHere = 'rest_here';
    /** The rest of the row was looked over and found sound. */
    case RestOfRow = 'rest_of_row';
    /** The station was looked over on all rows left and found sound. */
    case RestOfStation = 'rest_of_station';
    /** Typed in afterwards from a sheet of paper. */
    case FromSheet = 'from_sheet';

    /** Whether it says of many places at once that they were looked over. */
    public function isGlance(): bool
    {
        return $this === self::RestHere || $this === self::RestOfRow || $this === self::RestOfStation;
    }
}
