<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk;
use App\Wear\UseQuery;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Opens a walk of a planter, with the spec sheet's figures and the planter's equipment as they are today. */
final readonly class StartWalk
{
    public function __construct(
        private UseQuery $uses,
        private WalkProjector $projector,
    ) {
    }

    /** @throws ValidationException where another walk of this planter is still open */
    public function __invoke(Planter $planter, User $by, WalkStart $start): Walk
    {
        $planter->loadMissing(['specSheet', 'workshop']);
        $known = $planter->walks()->find($start->id);
        if ($known !== null) {
            return $known;
        }

        try {
            return DB::transaction(function () use ($planter, $by, $start): Walk {
                $walk = new Walk([
                    'id' => $start->id,
                    'planter_id' => $planter->id,
                    'season' => $planter->season(),
                    'kind' => $start->kind,
                    'walk_order' => $start->order,
                    'row_count' => $planter->row_count,
                    'sheet' => $planter->specSheet->sheet,
                    'equipment' => $planter->equipment,
                    'checks' => ChosenChecks::of($start->checks, $planter->readSheet()),
                    'started_by' => $by->id,
                    'started_at' => $start->at,
                    'cautions_acknowledged_at' => $start->at,
                    'planned_acres' => $this->uses->plannedAcres($planter),
                    'watch_chance' => $planter->workshop->watch_chance,
                ]);
                $walk->countPlaces()->save();
                $this->projector->project($walk->setRelation('planter', $planter));

                return $walk;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['planter' => __('error.walk_already_open', ['planter' => $planter->name])]);
        }
    }
}
