<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** In which order a walk goes through the checks. Whole-planter checks come last in each. */
enum WalkOrder: string
{
    /** Everything on one row, then the next row. */
    case RowByRow = 'row_by_row';
    /** One check across the whole planter, with one tool in the hand, then the next check. */
    case StationByStation = 'station_by_station';
    /** One station: along the left sides out, along the right sides back; then the next station. */
    case Snake = 'snake';
}
