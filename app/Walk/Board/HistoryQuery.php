<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Reading;
use Illuminate\Database\Eloquent\Builder;
use stdClass;
use Ustrel\Core\Walk\Place;

/** Reads what was recorded on a planter over all walks: everything at one place, or what tells something about one row. */
final class HistoryQuery
{
    private const MOST_OF_PLACE = 200;

    private const MOST_OF_ROW = 300;

    /** @return list<HistoryReading> everything that was ever recorded there, newest first, corrections included */
    public function ofPlace(Planter $planter, Place $place): array
    {
        return self::read(self::query($planter)
            ->leftJoin('cells', 'cells.reading_id', '=', 'readings.id')
            ->where('readings.row_number', $place->row)
            ->where('readings.check_key', $place->check->value)
            ->where('readings.side', $place->side->value)
            ->orderByDesc('readings.taken_at')
            ->orderByDesc('readings.id')
            ->limit(self::MOST_OF_PLACE));
    }

    /** @return list<HistoryReading> readings that hold, of figures and of trouble, newest first; the quiet rest is on the board */
    public function ofRow(Planter $planter, int $row): array
    {
        return self::read(self::query($planter)
            ->join('cells', 'cells.reading_id', '=', 'readings.id')
            ->where('cells.planter_id', $planter->id)
            ->where('cells.row_number', $row)
            ->where(static fn (Builder $which): Builder => $which->whereNotNull('cells.value')->orWhereIn('cells.verdict', ['watch', 'change', 'failed']))
            ->orderByDesc('cells.taken_at')
            ->orderByDesc('cells.reading_id')
            ->limit(self::MOST_OF_ROW));
    }

    /** @return Builder<Reading> */
    private static function query(Planter $planter): Builder
    {
        return Reading::query()
            ->join('walks', 'walks.id', '=', 'readings.walk_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('readings.planter_id', $planter->id);
    }

    /**
     * @param  Builder<Reading>  $readings
     * @return list<HistoryReading>
     */
    private static function read(Builder $readings): array
    {
        return array_values($readings
            ->toBase()
            ->get([
                'readings.id', 'readings.check_key', 'readings.side', 'readings.result', 'readings.entry', 'readings.value', 'readings.state', 'readings.chips', 'readings.typed',
                'readings.confirmed', 'readings.taken_at', 'walks.season', 'walks.kind', 'users.name AS taken_by', 'cells.reading_id AS holds', 'cells.verdict', 'cells.reasons',
            ])
            ->map(static fn (stdClass $row): HistoryReading => new HistoryReading(
                $row->id, $row->check_key, $row->side, $row->result, $row->entry, new StoredAnswer($row->check_key, $row->value, $row->state, $row->chips), $row->typed,
                $row->confirmed, $row->taken_at, $row->taken_by, $row->season, $row->kind, $row->holds !== null, $row->verdict, $row->reasons === null ? [] : json_decode($row->reasons, true),
            ))
            ->all());
    }
}
