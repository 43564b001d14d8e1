<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Reads what happened on one row over all walks: the readings that were no mere "sound", newest first. */
final class RowQuery
{
    private const MOST = 300;

    /**
     * Readings that hold, of figures and of trouble; the quiet rest is on the board.
     *
     * @return Collection<int, stdClass>
     */
    public function timeline(Planter $planter, int $row): Collection
    {
        return DB::table('cells')
            ->join('readings', 'readings.id', '=', 'cells.reading_id')
            ->join('walks', 'walks.id', '=', 'cells.walk_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('cells.planter_id', $planter->id)
            ->where('cells.row_number', $row)
            ->where(static fn ($which) => $which->whereNotNull('cells.value')->orWhereIn('cells.verdict', ['watch', 'change', 'failed']))
            ->orderByDesc('cells.taken_at')
            ->orderByDesc('cells.reading_id')
            ->limit(self::MOST)
            ->get([
                'cells.check_key', 'cells.side', 'cells.result', 'cells.value', 'cells.state', 'cells.chips', 'cells.verdict', 'cells.reasons', 'cells.taken_at',
                'readings.id', 'readings.entry', 'readings.typed', 'readings.confirmed', 'readings.id AS holds', 'walks.season', 'walks.kind', 'users.name AS taken_by',
            ]);
    }
}
