<?php

declare(strict_types=1);

namespace App\Wear;

use App\Bench\Seed\Lots;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Log\ByField;
use Ustrel\Core\Measure\Day;

/** Reads the acres log of a planter for a person: the newest lines, and sums by season. */
final class AcresQuery
{
    private const MOST = 300;

    /**
     * @param  Planter  $planter  with its workshop
     * @return array{planter: Planter, lines: Collection<int, AcresEntry>, arounds: Collection<int, AcresEntry>, fields: list<array{name: string, planned: float|null, done: float, is_done: bool, seed: string|null, lots: list<string>, population: int|null, planted: int|null}>, seasons: list<array{season: int, lines: int, acres: float}>, record: WearRecord}
     */
    public function of(Planter $planter): array
    {
        return [
            'planter' => $planter,
            'lines' => AcresEntry::current($planter->id)
                ->with(['user:id,name', 'seedLot:id,name'])
                ->orderByDesc('day')
                ->orderByDesc('id')
                ->limit(self::MOST)
                ->get(),
            'arounds' => AcresEntry::current($planter->id)->whereNotNull('around')->where('around_over', false)->with(['user:id,name', 'seedLot:id,name'])->orderByDesc('day')->orderByDesc('id')->limit(self::MOST)->get(),
            'fields' => self::fields($planter),
            'seasons' => self::seasons($planter),
            'record' => new WearRecord($planter),
        ];
    }

    /** @return list<array{name: string, planned: float|null, done: float, is_done: bool, seed: string|null, lots: list<string>, population: int|null, planted: int|null}> of the season */
    private static function fields(Planter $planter): array
    {
        $season = $planter->season();
        $plan = SeasonPlan::query()->where('planter_id', $planter->id)->where('season', $season)->first();
        $lines = AcresEntry::current($planter->id)->planted()->with('seedLot:id,name')->where('day', '>=', $planter->seasons()->begins($season)->iso)->orderBy('day')->orderBy('id')->get()
            ->filter(static fn (AcresEntry $of): bool => $planter->seasons()->of($of->day) === $season);

        return ByField::of(
            array_map(static fn (array $of): array => ['name' => $of['name'], 'acres' => (float) $of['acres'], 'seed' => $of['seed'], 'population' => $of['population']], Lots::of($planter->workshop_id)->inFields($plan->fields ?? [])),
            array_values($lines->map(static fn (AcresEntry $of): array => ['field' => $of->field, 'acres' => (float) $of->acres, 'lot' => $of->lotName(), 'populations' => $of->population()])->all()),
        );
    }

    /** @return list<array{season: int, lines: int, acres: float}> the newest first */
    private static function seasons(Planter $planter): array
    {
        $seasons = [];
        foreach (AcresEntry::current($planter->id)->planted()->groupBy('day')->toBase()->selectRaw('day, count(*) AS lines, sum(acres) AS acres')->get() as $day) {
            $season = $planter->seasons()->of(Day::of($day->day));
            $seasons[$season] ??= ['season' => $season, 'lines' => 0, 'acres' => 0.0];
            $seasons[$season]['lines'] += $day->lines;
            $seasons[$season]['acres'] = round($seasons[$season]['acres'] + (float) $day->acres, 3);
        }
        krsort($seasons);

        return array_values($seasons);
    }
}
