<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\User;
use App\Models\Walk;
use App\Record\Fields;
use App\Record\Outcome;
use App\Record\RefusedReading;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;

/** Keeps a note on a place, or one that takes an earlier note's place; an empty one takes it back. */
final class StoreNote
{
    private const LONGEST = 1000;

    private const KINDS = ['note', 'hard_joint'];

    /** @throws RefusedReading */
    public function __invoke(Walk $walk, User $by, Fields $fields): Outcome
    {
        $id = strtolower($fields->text('id'));
        if (! Str::isUuid($id)) {
            throw RefusedReading::because('no_id');
        }
        $place = $fields->place($walk->readSheet(), $walk->row_count);
        $kind = $fields->text('kind', 'note');
        $text = trim($fields->text('text'));
        $supersedes = $fields->text('supersedes') ?: null;
        if (! in_array($kind, self::KINDS, true)) {
            throw RefusedReading::because('unknown_note_kind');
        }
        if (mb_strlen($text) > self::LONGEST || ($text === '' && $supersedes === null)) {
            throw RefusedReading::because('note_length');
        }

        $row = [
            'id' => $id,
            'walk_id' => $walk->id,
            'planter_id' => $walk->planter_id,
            'row_number' => $place->row,
            'check_key' => $place->check->value,
            'side' => $place->side->value,
            'kind' => $kind,
            'text' => $text,
            'supersedes' => $supersedes,
            'taken_at' => $fields->takenAt()->format('Y-m-d H:i:s.vP'),
        ];

        return DB::transaction(function () use ($row, $by, $walk): Outcome {
            $known = DB::table('notes')->where('id', $row['id'])->first();
            if ($known !== null) {
                return self::saysTheSame($known, $row) ? Outcome::Known : throw RefusedReading::because('id_taken');
            }
            $isOpen = $row['supersedes'] === null || DB::table('notes AS old')
                ->where('old.id', $row['supersedes'])
                ->where('old.planter_id', $walk->planter_id)
                ->whereNotExists(static fn ($later) => $later->from('notes AS later')->whereColumn('later.supersedes', 'old.id'))
                ->lockForUpdate()
                ->exists();
            if (! $isOpen) {
                throw RefusedReading::because('note_gone');
            }
            DB::table('notes')->insert($row + ['recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'), 'user_id' => $by->id]);

            return Outcome::Stored;
        });
    }

    /** @param  array<string, mixed>  $row */
    private static function saysTheSame(stdClass $known, array $row): bool
    {
        foreach (['walk_id', 'row_number', 'check_key', 'side', 'kind', 'text', 'supersedes'] as $column) {
            if ($known->{$column} !== $row[$column]) {
                return false;
            }
        }

        return true;
    }
}
