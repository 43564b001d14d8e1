<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Walk\Place;

/** Reads everything that was ever recorded at one place of a planter, newest first, corrections included. */
final class HistoryQuery
{
    private const MOST = 200;

    /** @return Collection<int, stdClass> */
    public function of(Planter $planter, Place $place): Collection
    {
        return DB::table('readings')
            ->join('walks', 'walks.id', '=', 'readings.walk_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->leftJoin('cells', 'cells.reading_id', '=', 'readings.id')
            ->where('readings.planter_id', $planter->id)
            ->where('readings.row_number', $place->row)
            ->where('readings.check_key', $place->check->value)
            ->where('readings.side', $place->side->value)
            ->orderByDesc('readings.taken_at')
            ->orderByDesc('readings.id')
            ->limit(self::MOST)
            ->get([
                'readings.id', 'readings.check_key', 'readings.result', 'readings.entry', 'readings.value', 'readings.state', 'readings.chips', 'readings.typed',
                'readings.confirmed', 'readings.taken_at', 'walks.season', 'walks.kind', 'users.name AS taken_by',
                'cells.reading_id AS holds', 'cells.verdict', 'cells.reasons',
            ]);
    }
}
