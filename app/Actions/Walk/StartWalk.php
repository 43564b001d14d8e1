<?php

declare(strict_types=1);

namespace App\Actions\Walk;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** Opens a walk of a planter, with the spec sheet's figures as they are today. */
final class StartWalk
{
    /** @throws ValidationException where a walk of this planter is still open */
    public function __invoke(Planter $planter, User $by, WalkKind $kind, WalkOrder $order): Walk
    {
        $sheet = $planter->specSheet;

        try {
            return DB::transaction(static fn (): Walk => $planter->walks()->create([
                'season' => $planter->season(),
                'kind' => $kind,
                'walk_order' => $order,
                'row_count' => $planter->row_count,
                'sheet' => $sheet->sheet,
                'places_per_row' => $sheet->read()->placesPerRow(),
                'started_by' => $by->id,
                'started_at' => CarbonImmutable::now(),
            ]));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['planter' => __('error.walk_already_open', ['planter' => $planter->name])]);
        }
    }
}
