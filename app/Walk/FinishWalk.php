<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Models\Walk\WalkRow;
use App\Record\Affected;
use App\Record\Change;
use App\Wear\LearnMeasuring;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Walk\Place;

/** Closes a walk, and learns from it how the shop measures and what comes of what it leaves. With anything unchecked it has to be said that this is meant, or it is refused as invalid. */
final readonly class FinishWalk
{
    public function __construct(
        private Change $change,
        private LearnMeasuring $learn,
    ) {
    }

    /** @throws ValidationException */
    public function __invoke(Walk $walk, User $by, bool $withUnchecked): Walk
    {
        $finished = $this->change->of($walk->planter, static function (Planter $planter, Affected $affected) use ($walk, $by, $withUnchecked): Walk {
            $walk = Walk::query()->findOrFail($walk->id)->setRelation('planter', $planter);
            if ($walk->isFinished()) {
                return $walk;
            }
            $unchecked = self::unchecked($walk);
            if ($unchecked !== [] && ! $withUnchecked) {
                throw ValidationException::withMessages(['with_unchecked' => implode(' ', $unchecked)]);
            }
            $affected->ended = true;
            $walk->update(['finished_at' => CarbonImmutable::now(), 'finished_by' => $by->id]);

            return $walk;
        });
        ($this->learn)($walk->planter->workshop_id);

        return $finished;
    }

    /** @return list<string> what is unchecked, in words */
    private static function unchecked(Walk $walk): array
    {
        $checked = WalkRow::query()->where('walk_id', $walk->id)->pluck('checked', 'row_number');
        $rows = array_values(array_filter(
            range(1, $walk->row_count),
            static fn (int $row): bool => $checked->get($row, 0) < $walk->row_places[$row - 1],
        ));
        $said = $rows === [] ? [] : [trans_choice('error.rows_unchecked', count($rows), ['rows' => implode(', ', $rows)])];

        return $checked->get(Place::WHOLE_PLANTER, 0) < $walk->planter_places ? [...$said, __('error.planter_unchecked')] : $said;
    }
}
