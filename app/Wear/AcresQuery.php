<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Reads the acres log of a planter for a person: the newest lines, and sums by season. */
final readonly class AcresQuery
{
    private const MOST = 300;

    public function __construct(private ForecastQuery $forecasts)
    {
    }

    /** @return array{lines: Collection<int, stdClass>, seasons: Collection<int, stdClass>, forecast: PlanterForecast} */
    public function of(Planter $planter): array
    {
        return [
            'lines' => UseQuery::lines($planter)
                ->join('users', 'users.id', '=', 'acres_log.user_id')
                ->orderByDesc('day')
                ->orderByDesc('acres_log.id')
                ->limit(self::MOST)
                ->get(['acres_log.*', 'users.name AS logged_by']),
            'seasons' => UseQuery::lines($planter)
                ->groupByRaw(UseQuery::season($planter))
                ->orderByRaw(UseQuery::season($planter).' DESC')
                ->get([DB::raw(UseQuery::season($planter).' AS season'), DB::raw('count(*) AS lines'), DB::raw('sum(acres) AS acres')]),
            'forecast' => $this->forecasts->of($planter, 0),
        ];
    }
}
