<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** In which order a walk goes through the checks. */
enum WalkOrder: string
{
    /** Everything on one row, then the next row. */
    case RowByRow = 'row_by_row';
    /** One check across the whole planter, with one tool in the hand, then the next check. */
    case StationByStation = 'station_by_station';
}
