<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\User;
use App\Models\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Walk\Place;

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
            $unchecked = self::unchecked($walk);
            if ($unchecked !== [] && ! $withUnchecked) {
                throw ValidationException::withMessages(['with_unchecked' => implode(' ', $unchecked)]);
            }
            $walk->update(['finished_at' => CarbonImmutable::now(), 'finished_by' => $by->id]);

            return $walk;
        });
    }

    /** @return list<string> what is unchecked, in words */
    private static function unchecked(Walk $walk): array
    {
        $rows = self::uncheckedRows($walk);
        $said = $rows === [] ? [] : [trans_choice('error.rows_unchecked', count($rows), ['rows' => implode(', ', $rows)])];
        $ofPlanter = (int) DB::table('walk_rows')->where('walk_id', $walk->id)->where('row_number', Place::WHOLE_PLANTER)->value('checked');

        return $ofPlanter < $walk->planter_places ? [...$said, __('error.planter_unchecked')] : $said;
    }

    /** @return list<int> rows on which anything is unchecked */
    private static function uncheckedRows(Walk $walk): array
    {
        $done = DB::table('walk_rows')
            ->where('walk_id', $walk->id)
            ->where('checked', '>=', $walk->places_per_row)
            ->where('row_number', '>=', 1)
            ->pluck('row_number')
            ->all();

        return $walk->places_per_row === 0 ? [] : array_values(array_diff(range(1, $walk->row_count), $done));
    }
}
