<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Opens a finished walk again, to be judged by the figures it was finished with. */
final class ReopenWalk
{
    /** @throws ValidationException where another walk of this planter is open */
    public function __invoke(Walk $walk): Walk
    {
        if (! $walk->isFinished()) {
            return $walk;
        }

        try {
            DB::transaction(static fn (): bool => $walk->update([
                'finished_at' => null,
                'finished_by' => null,
                'reopened_at' => CarbonImmutable::now(),
            ]));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['walk' => __('error.walk_already_open', ['planter' => $walk->planter->name])]);
        }

        return $walk;
    }
}
