<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\AcresEntry;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Measure\Day;

/** Reads the acres log of a planter for a person: the newest lines, and sums by season. */
final class AcresQuery
{
    private const MOST = 300;

    /**
     * @param  Planter  $planter  with its workshop
     * @return array{planter: Planter, lines: Collection<int, AcresEntry>, seasons: list<array{season: int, lines: int, acres: float}>, record: WearRecord}
     */
    public function of(Planter $planter): array
    {
        return [
            'planter' => $planter,
            'lines' => AcresEntry::held($planter->id)
                ->with('user:id,name')
                ->orderByDesc('day')
                ->orderByDesc('id')
                ->limit(self::MOST)
                ->get(),
            'seasons' => self::seasons($planter),
            'record' => new WearRecord($planter),
        ];
    }

    /** @return list<array{season: int, lines: int, acres: float}> the newest first */
    private static function seasons(Planter $planter): array
    {
        $seasons = [];
        foreach (AcresEntry::held($planter->id)->groupBy('day')->toBase()->selectRaw('day, count(*) AS lines, sum(acres) AS acres')->get() as $day) {
            $season = $planter->seasons()->of(Day::of($day->day));
            $seasons[$season] ??= ['season' => $season, 'lines' => 0, 'acres' => 0.0];
            $seasons[$season]['lines'] += $day->lines;
            $seasons[$season]['acres'] = round($seasons[$season]['acres'] + (float) $day->acres, 3);
        }
        krsort($seasons);

        return array_values($seasons);
    }
}
