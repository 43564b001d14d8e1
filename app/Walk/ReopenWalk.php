<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Change;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;

/** Opens a finished walk again, to be judged by the figures it was finished with. */
final readonly class ReopenWalk
{
    public function __construct(private Change $change)
    {
    }

    /** @throws ValidationException where another walk of this planter is open */
    public function __invoke(Walk $walk): Walk
    {
        return $this->change->of($walk->planter, static function (Planter $planter, Affected $affected) use ($walk): Walk {
            $walk = Walk::query()->findOrFail($walk->id)->setRelation('planter', $planter);
            if (! $walk->isFinished()) {
                return $walk;
            }
            if ($planter->openWalk() !== null) {
                throw ValidationException::withMessages(['walk' => __('error.walk_already_open', ['planter' => $planter->name])]);
            }
            $affected->ended = true;
            $walk->update(['finished_at' => null, 'finished_by' => null, 'reopened_at' => CarbonImmutable::now()]);

            return $walk;
        });
    }
}
