<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** When in the season a walk is made. */
enum WalkKind: string
{
    case PreSeason = 'pre_season';
    case FirstPass = 'first_pass';
    case InSeason = 'in_season';
    case RainDay = 'rain_day';
    case SeasonEnd = 'season_end';
}
