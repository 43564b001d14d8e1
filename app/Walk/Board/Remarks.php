<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Reads what was noted and photographed beside the readings. A note that was superseded, or taken back, is left out. */
final class Remarks
{
    private const COLUMNS = ['walk_id', 'row_number', 'check_key', 'side', 'taken_at'];

    /**
     * The walk's own notes, and the hard joints of earlier walks, oldest first.
     *
     * @return Collection<int, stdClass>
     */
    public function notesFor(Planter $planter, ?Walk $walk): Collection
    {
        return $this->notes($planter)
            ->where(static fn (Builder $which): Builder => $which->where('notes.kind', 'hard_joint')->when($walk !== null, static fn (Builder $which): Builder => $which->orWhere('notes.walk_id', $walk->id)))
            ->get();
    }

    /** @return Collection<int, stdClass> */
    public function notesOfRow(Planter $planter, int $row): Collection
    {
        return $this->notes($planter)->where('notes.row_number', $row)->get();
    }

    /** @return Collection<int, stdClass> */
    public function photosOfWalk(Walk $walk): Collection
    {
        return $this->photos($walk->planter)->where('photos.walk_id', $walk->id)->get();
    }

    /** @return Collection<int, stdClass> */
    public function photosOfRow(Planter $planter, int $row): Collection
    {
        return $this->photos($planter)->where('photos.row_number', $row)->get();
    }

    private function notes(Planter $planter): Builder
    {
        return $this->remarks('notes', $planter)
            ->where('notes.text', '!=', '')
            ->whereNotExists(static fn (Builder $later): Builder => $later->from('notes AS later')->whereColumn('later.supersedes', 'notes.id'))
            ->addSelect(['notes.kind', 'notes.text']);
    }

    private function photos(Planter $planter): Builder
    {
        return $this->remarks('photos', $planter)->addSelect(['photos.width', 'photos.height']);
    }

    private function remarks(string $table, Planter $planter): Builder
    {
        return DB::table($table)
            ->join('walks', 'walks.id', '=', "{$table}.walk_id")
            ->join('users', 'users.id', '=', "{$table}.user_id")
            ->where("{$table}.planter_id", $planter->id)
            ->orderBy("{$table}.taken_at")
            ->orderBy("{$table}.id")
            ->select(["{$table}.id", ...array_map(static fn (string $column): string => "{$table}.{$column}", self::COLUMNS), 'walks.season', 'users.name AS taken_by']);
    }
}
