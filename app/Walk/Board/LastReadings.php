<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Walk\Result;

/**
 * Looks up "last time": earlier seasons' readings, by place. Where the part was changed since, its size when fitted
 * stands in; a reading of the part that is gone says nothing.
 */
final class LastReadings
{
    /**
     * @param  list<int>|null  $rows  only these rows
     * @return array<string, LastReading> by place key
     */
    public function beforeWalk(Walk $walk, ?array $rows = null): array
    {
        return $this->before($walk->planter_id, $walk->season, $walk->started_at, $rows);
    }

    /**
     * @param  CarbonImmutable  $asOf  what was fitted by then counts
     * @param  list<int>|null  $rows
     * @return array<string, LastReading> by place key
     */
    public function before(int $planterId, int $season, CarbonImmutable $asOf, ?array $rows = null): array
    {
        $found = DB::table('cells')
            ->selectRaw('DISTINCT ON (row_number, check_key, side) row_number, check_key, side, value, state, chips, season, part_changed_at <= ? AS renewed', [$asOf])
            ->where('planter_id', $planterId)
            ->where('season', '<', $season)
            ->where('result', Result::Recorded->value)
            ->when($rows !== null, static fn ($cells) => $cells->whereIn('row_number', $rows))
            ->orderByRaw('row_number, check_key, side, season DESC, taken_at DESC')
            ->get();

        $last = [];
        $renewed = false;
        foreach ($found as $cell) {
            $renewed = $renewed || $cell->renewed;
            if (! $cell->renewed && ($cell->value !== null || $cell->state !== null)) {
                $last["{$cell->row_number}:{$cell->check_key}:{$cell->side}"] = new LastReading($cell, $cell->season);
            }
        }

        return $renewed ? $last + $this->fitted($planterId, $asOf, $rows) : $last;
    }

    /**
     * @param  list<int>|null  $rows
     * @return array<string, LastReading> the sizes of what was fitted last, by place key
     */
    private function fitted(int $planterId, CarbonImmutable $asOf, ?array $rows): array
    {
        $fittings = DB::table('fittings')
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->selectRaw('DISTINCT ON (fittings.row_number, fittings.slot, fittings.side) fittings.row_number, fittings.slot, fittings.side, ledger_events.size AS value, NULL AS state, to_jsonb(array[]::text[])::text AS chips, extract(year from fittings.fitted_at)::int AS season')
            ->where('fittings.planter_id', $planterId)
            ->where('fittings.fitted_at', '<=', $asOf)
            ->where(static fn (Builder $which): Builder => $which->whereNull('fittings.removed_at')->orWhere('fittings.removed_at', '>', $asOf))
            ->when($rows !== null, static fn (Builder $fittings): Builder => $fittings->whereIn('fittings.row_number', $rows))
            ->orderByRaw('fittings.row_number, fittings.slot, fittings.side, fittings.fitted_at DESC')
            ->get();

        return $fittings->where('value', '!=', null)->mapWithKeys(static function (stdClass $fitting): array {
            $fitting->check_key = Slot::from($fitting->slot)->checks()[0]->value;

            return ["{$fitting->row_number}:{$fitting->check_key}:{$fitting->side}" => new LastReading($fitting, $fitting->season)];
        })->all();
    }
}
