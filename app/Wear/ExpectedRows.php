<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\Wear\Forecast;
use Illuminate\Support\Collection;
use stdClass;
use Ustrel\Core\Wear\Standing;

/** Reads how the rows of planters are expected to stand, by their forecasts. */
final class ExpectedRows
{
    /**
     * @param  Planter  $planter  with its workshop
     * @return array<int, ExpectedRow> by row
     */
    public static function ofOne(Planter $planter): array
    {
        return self::of(collect([$planter]))[$planter->id] ?? [];
    }

    /**
     * @param  Collection<int, Planter>  $planters  with their workshop
     * @return array<int, array<int, ExpectedRow>> by planter and row
     */
    public static function of(Collection $planters): array
    {
        $watchChances = $planters->mapWithKeys(static fn (Planter $planter): array => [$planter->id => (float) $planter->workshop->watch_chance])->all();
        // A part stands the worse the less it has left and the greater its chance: so the worst of a row is told by its extremes.
        $worst = Forecast::query()
            ->whereIn('planter_id', array_keys($watchChances))
            ->groupBy('planter_id', 'row_number')
            ->toBase()
            ->selectRaw('planter_id, row_number, min(left50_m) AS left50, max(chance) FILTER (WHERE NOT thin) AS chance, bool_and(thin) AS thin, min(left50_m / nullif(left50_m + use_m, 0)) AS life')
            ->get();
        $rows = [];
        $worst->each(static function (stdClass $row) use ($watchChances, &$rows): void {
            $number = static fn (?string $figure): ?float => $figure === null ? null : (float) $figure;
            $standing = Standing::of($number($row->left50), $number($row->chance), $row->thin, $watchChances[$row->planter_id]);
            $rows[$row->planter_id][$row->row_number] = new ExpectedRow($standing->expects(), $row->life === null ? null : max(0.0, round((float) $row->life, 4)));
        });

        return $rows;
    }
}
