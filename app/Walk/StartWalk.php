<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Moments;
use App\Wear\WearRecord;
use Illuminate\Validation\ValidationException;

/** Opens a walk of a planter, with the spec sheet's figures and the planter's equipment as they are today. */
final readonly class StartWalk
{
    public function __construct(private Change $change)
    {
    }

    /** @throws ValidationException where another walk of this planter is still open, or the id is taken */
    public function __invoke(Planter $planter, User $by, WalkStart $start): Walk
    {
        return $this->change->of($planter, function (Planter $planter, Affected $affected) use ($by, $start): Walk {
            $known = Walk::query()->find($start->id);
            if ($known !== null) {
                return $known->planter_id === $planter->id ? $known->setRelation('planter', $planter) : throw ValidationException::withMessages(['id' => __('refused.id_taken')]);
            }
            $record = new WearRecord($planter);
            foreach ($record->walks() as $walk) {
                if (! $walk->isFinished()) {
                    throw ValidationException::withMessages(['planter' => __('error.walk_already_open', ['planter' => $planter->name])]);
                }
                if ($walk->began()->isBefore(Moments::of($start->at))) {
                    $before = $walk->id;
                }
            }
            $walk = new Walk([
                'id' => $start->id,
                'planter_id' => $planter->id,
                'season' => $planter->season(),
                'kind' => $start->kind,
                'walk_order' => $start->order,
                ...$planter->asWalked(),
                'checks' => ChosenChecks::of($start->checks, $planter->readSheet()),
                'pack' => $start->pack,
                'started_by' => $by->id,
                'started_at' => $start->at,
                'cautions_acknowledged_at' => $start->at,
                'planned_acres' => $record->plannedAcres(),
                ...$planter->workshop->ofWalk(),
            ]);
            $walk->countPlaces()->save();
            $affected->walks[$walk->id] = true;
            // It says how things stand no longer than until this one.
            if (isset($before)) {
                $affected->walks[$before] = true;
            }

            return $walk->setRelation('planter', $planter);
        });
    }
}
