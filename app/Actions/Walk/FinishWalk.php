<?php

declare(strict_types=1);

namespace App\Actions\Walk;

use App\Models\User;
use App\Models\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Closes a walk. With anything unchecked it has to be said that this is meant, or it is refused as invalid. */
final class FinishWalk
{
    public function __invoke(Walk $walk, User $by, bool $withUnchecked): Walk
    {
        return DB::transaction(function () use ($walk, $by, $withUnchecked): Walk {
            $walk = Walk::query()->lockForUpdate()->findOrFail($walk->id);
            if ($walk->isFinished()) {
                return $walk;
            }
            $unchecked = self::uncheckedRows($walk);
            if ($unchecked !== [] && ! $withUnchecked) {
                throw ValidationException::withMessages([
                    'with_unchecked' => trans_choice('error.rows_unchecked', count($unchecked), ['rows' => implode(', ', $unchecked)]),
                ]);
            }
            $walk->update(['finished_at' => CarbonImmutable::now(), 'finished_by' => $by->id]);

            return $walk;
        });
    }

    /** @return list<int> rows on which anything is unchecked */
    private static function uncheckedRows(Walk $walk): array
    {
        $done = DB::table('walk_rows')
            ->where('walk_id', $walk->id)
            ->where('checked', '>=', $walk->places_per_row)
            ->pluck('row_number')
            ->all();

        return array_values(array_diff(range(1, $walk->row_count), $done));
    }
}
