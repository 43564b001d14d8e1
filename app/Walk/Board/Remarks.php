<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Note;
use App\Models\Walk\Photo;
use App\Models\Walk\Walk;
use Illuminate\Database\Eloquent\Builder;
use stdClass;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\NoteKind;
use Ustrel\Core\Walk\Place;

/** Reads what was noted and photographed beside the readings. A note that was superseded, or taken back, is left out. */
final class Remarks
{
    private const COLUMNS = ['id', 'walk_id', 'row_number', 'check_key', 'side', 'taken_at'];

    /** @return list<Remark> the walk's own notes, and the hard joints of earlier walks, oldest first */
    public function notesFor(Planter $planter, ?Walk $walk): array
    {
        return self::notes($planter, static fn (Builder $notes): Builder => $notes
            ->where(static fn (Builder $which): Builder => $which->where('notes.kind', NoteKind::HardJoint->value)->when($walk !== null, static fn (Builder $which): Builder => $which->orWhere('notes.walk_id', $walk?->id))));
    }

    /** @return list<Remark> */
    public function notesOfRow(Planter $planter, int $row): array
    {
        return self::notes($planter, static fn (Builder $notes): Builder => $notes->where('notes.row_number', $row));
    }

    /** @return list<Remark> */
    public function photosOfWalk(Walk $walk): array
    {
        return self::photos($walk->planter, static fn (Builder $photos): Builder => $photos->where('photos.walk_id', $walk->id));
    }

    /** @return list<Remark> */
    public function photosOfRow(Planter $planter, int $row): array
    {
        return self::photos($planter, static fn (Builder $photos): Builder => $photos->where('photos.row_number', $row));
    }

    /**
     * @param  callable(Builder<Note>): Builder<Note>  $which
     * @return list<Remark>
     */
    private static function notes(Planter $planter, callable $which): array
    {
        return self::remarks('notes', $which(Note::current($planter->id)), ['notes.kind', 'notes.text']);
    }

    /**
     * @param  callable(Builder<Photo>): Builder<Photo>  $which
     * @return list<Remark>
     */
    private static function photos(Planter $planter, callable $which): array
    {
        return self::remarks('photos', $which(Photo::query()->where('photos.planter_id', $planter->id)), ['photos.width', 'photos.height']);
    }

    /**
     * @param  Builder<Note>|Builder<Photo>  $remarks
     * @param  list<string>  $own  columns
     * @return list<Remark>
     */
    private static function remarks(string $table, Builder $remarks, array $own): array
    {
        return array_values($remarks
            ->join('walks', 'walks.id', '=', "{$table}.walk_id")
            ->join('users', 'users.id', '=', "{$table}.user_id")
            ->orderBy("{$table}.taken_at")
            ->orderBy("{$table}.id")
            ->toBase()
            ->get([...array_map(static fn (string $column): string => "{$table}.{$column}", self::COLUMNS), ...$own, 'walks.season', 'users.name AS taken_by'])
            ->map(static fn (stdClass $row): Remark => new Remark(
                $row->id, $row->walk_id, new Place($row->row_number, CheckKey::from($row->check_key), Side::from($row->side)), $row->season, $row->taken_at, $row->taken_by,
                NoteKind::tryFrom($row->kind ?? ''), $row->text ?? '', $row->width ?? 0, $row->height ?? 0,
            ))
            ->all());
    }
}
