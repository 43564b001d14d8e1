<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Parts\Fitting;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Record\Moments;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/**
 * Looks up "last time": earlier seasons' readings, by place. Where the part was changed since, its size when fitted
 * stands in; a reading of the part that is gone says nothing.
 */
final class LastReadings
{
    /** @return array<string, LastReading> by place key */
    public function beforeWalk(Walk $walk, Planter $planter): array
    {
        return $this->before($planter, $walk->season, $walk->began());
    }

    /**
     * @param  list<Place>  $places  that are asked about
     * @return array<string, LastReading> by place key
     */
    public function at(array $places, Walk $walk, Planter $planter): array
    {
        if ($places === []) {
            return [];
        }
        $columns = [];
        foreach ($places as $place) {
            foreach (array_values(Cell::at($place)) as $column => $value) {
                $columns[$column][] = $value;
            }
        }
        $newest = self::earlier($walk->planter_id, $walk->season)
            ->whereColumn('row_number', 'asked.row')
            ->whereColumn('check_key', 'asked.check')
            ->whereColumn('side', 'asked.side')
            ->orderByRaw('season DESC, taken_at DESC')
            ->limit(1);
        $found = DB::query()
            ->fromRaw('unnest(?::int[], ?::text[], ?::text[]) AS asked (row, "check", side)', array_map(static fn (array $values): string => '{'.implode(',', $values).'}', $columns))
            ->joinLateral($newest->selectRaw(self::columns()), 'newest')
            ->get('newest.*');

        return self::unlessRenewed($found, $planter, $walk->began());
    }

    /**
     * @param  Moment  $asOf  what was fitted by then counts
     * @return array<string, LastReading> by place key
     */
    public function before(Planter $planter, int $season, Moment $asOf): array
    {
        $found = self::earlier($planter->id, $season)
            ->selectRaw('DISTINCT ON (row_number, check_key, side) '.self::columns())
            ->orderByRaw('row_number, check_key, side, season DESC, taken_at DESC')
            ->get();

        return self::unlessRenewed($found, $planter, $asOf);
    }

    private static function columns(): string
    {
        return Place::KEY_IN_SQL.' AS place, check_key, value, state, chips, season, '.Moments::sql('taken_at').' AS at';
    }

    /** What was recorded in the seasons before one. */
    private static function earlier(int $planterId, int $season): Builder
    {
        return Cell::query()
            ->where('planter_id', $planterId)
            ->where('season', '<', $season)
            ->where('result', Result::Recorded->value)
            ->toBase();
    }

    /**
     * @param  Collection<int, stdClass>  $found  the newest of each place
     * @return array<string, LastReading> by place key
     */
    private static function unlessRenewed(Collection $found, Planter $planter, Moment $asOf): array
    {
        $fitted = $found->isEmpty() ? [] : self::fitted($planter->id, $asOf);
        $renewedAt = self::renewedAt($fitted);
        $last = $renewed = [];
        foreach ($found as $cell) {
            if (($renewedAt[$cell->place] ?? PHP_INT_MIN) <= $cell->at) {
                $last[$cell->place] = new LastReading(new StoredAnswer($cell->check_key, $cell->value, $cell->state, $cell->chips), $cell->season);
            } else {
                $renewed[$cell->place] = true;
            }
        }

        return $renewed === [] ? $last : $last + array_intersect_key(self::sizes($fitted, $planter->loadMissing('workshop')), $renewed);
    }

    /**
     * When the part was fitted, or the contact set anew, that a place reads now.
     *
     * @param  array<string, stdClass>  $fitted  by slot place
     * @return array<string, int> milliseconds, by place key
     */
    private static function renewedAt(array $fitted): array
    {
        $at = [];
        foreach ($fitted as $fitting) {
            foreach ((new SlotPlace($fitting->row_number, Slot::from($fitting->slot), Side::from($fitting->side)))->renews() as $place) {
                $at[$place->key()] = max($at[$place->key()] ?? $fitting->at, $fitting->at);
            }
        }

        return $at;
    }

    /** @return array<string, stdClass> the fittings that went in last by a moment, by slot place, with the size they had then */
    private static function fitted(int $planterId, Moment $asOf): array
    {
        return Fitting::query()
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->where('fittings.planter_id', $planterId)
            ->where('fittings.fitted_at', '<=', $asOf->toIso())
            ->toBase()
            ->selectRaw('DISTINCT ON (fittings.row_number, fittings.slot, fittings.side) fittings.row_number, fittings.slot, fittings.side, fittings.removed_at <= ? AS gone, ledger_events.size AS value, '
                .Moments::sql('fittings.fitted_at').' AS at', [$asOf->toIso()])
            ->orderByRaw('fittings.row_number, fittings.slot, fittings.side, fittings.fitted_at DESC')
            ->get()
            ->keyBy(static fn (stdClass $fitting): string => (new SlotPlace($fitting->row_number, Slot::from($fitting->slot), Side::from($fitting->side)))->key())
            ->all();
    }

    /**
     * @param  array<string, stdClass>  $fitted
     * @return array<string, LastReading> by place key
     */
    private static function sizes(array $fitted, Planter $planter): array
    {
        [$seasons, $zone] = [$planter->seasons(), $planter->workshop->zone()];

        return Collection::make($fitted)
            ->filter(static fn (stdClass $fitting): bool => $fitting->value !== null && ! $fitting->gone)
            ->mapWithKeys(static function (stdClass $fitting) use ($seasons, $zone): array {
                $check = Slot::from($fitting->slot)->checks()[0];
                $reading = new StoredAnswer($check->value, $fitting->value, null, '[]');

                return [(new Place($fitting->row_number, $check, Side::from($fitting->side)))->key() => new LastReading($reading, $seasons->of(Moment::ofMilliseconds($fitting->at)->day($zone)))];
            })
            ->all();
    }
}
