<?php

declare(strict_types=1);

namespace App\Yard\FirstDay;

use App\Models\FirstDay\FirstDayStep;
use App\Models\FirstDay\State;
use App\Models\FirstDay\Step;
use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\Plan\Decision;
use App\Models\User;
use App\Models\Walk\WalkRow;
use App\Models\Workshop;

/** The first steps of a new shop: done where the record shows it, or somebody said so. A sample planter shows nothing. */
final readonly class FirstDay
{
    private const ROWS_WALKED = 2;

    /** @return array<string, State> by step, in order */
    public function of(Workshop $workshop): array
    {
        $said = FirstDayStep::query()->where('workshop_id', $workshop->id)->get()->keyBy(static fn (FirstDayStep $of): string => $of->step->value);
        $states = [];
        foreach (Step::cases() as $step) {
            $states[$step->value] = $this->isShown($step, $workshop) ? State::Done : $said->get($step->value)->state ?? State::Open;
        }

        return $states;
    }

    /** Marks or skips a step, or takes it up again; what the record shows stays done. */
    public function mark(Workshop $workshop, Step $step, State $state): void
    {
        $of = ['workshop_id' => $workshop->id, 'step' => $step->value];
        $state === State::Open
            ? FirstDayStep::query()->where($of)->delete()
            : FirstDayStep::query()->upsert([$of + ['state' => $state->value]], ['workshop_id', 'step'], ['state']);
    }

    /** Of a shop that comes with a past, as the demo or one that was packed elsewhere. */
    public function skipAll(Workshop $workshop): void
    {
        foreach (Step::cases() as $step) {
            $this->mark($workshop, $step, State::Skipped);
        }
    }

    private function isShown(Step $step, Workshop $workshop): bool
    {
        $planters = $workshop->ownPlanters()->select('planters.id');

        return match ($step) {
            Step::Planter => $workshop->ownPlanters()->exists(),
            Step::Walk => WalkRow::query()->join('walks', 'walks.id', '=', 'walk_rows.walk_id')->whereIn('walks.planter_id', $planters)
                ->where('row_number', '>', 0)->groupBy('walk_rows.walk_id')->havingRaw('count(*) >= ?', [self::ROWS_WALKED])->toBase()->select('walk_rows.walk_id')->exists(),
            Step::Decide => Decision::query()->whereIn('planter_id', $planters)->exists(),
            Step::Invite => Invitation::query()->where('workshop_id', $workshop->id)->exists() || User::query()->where('workshop_id', $workshop->id)->where('role', '<>', Role::Guest)->count() > 1,
            Step::Board, Step::Print => false,
        };
    }
}
