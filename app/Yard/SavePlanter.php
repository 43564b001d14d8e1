<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Planter;
use App\Models\Walk;
use App\Record\RecordProjector;
use App\Wear\UseQuery;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Makes a planter or changes it, and brings its open walk along. */
final readonly class SavePlanter
{
    public function __construct(
        private UseQuery $uses,
        private RecordProjector $projector,
    ) {
    }

    /**
     * @param  array<string, mixed>  $fields  the planter's columns, validated
     *
     * @throws ValidationException where the name is taken, or rows would go that were already read
     */
    public function __invoke(Planter $planter, array $fields): Planter
    {
        try {
            return DB::transaction(function () use ($planter, $fields): Planter {
                $planter->fill($fields)->save();
                $planter->load(['specSheet', 'workshop']);
                $walk = $planter->walks()->whereNull('finished_at')->lockForUpdate()->first();
                if ($walk !== null) {
                    $this->bringAlong($walk, $planter);
                }
                $this->projector->project($planter, CarbonImmutable::now());

                return $planter;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __('error.planter_name_taken', ['farm' => $planter->farm, 'name' => $planter->name])]);
        }
    }

    private function bringAlong(Walk $walk, Planter $planter): void
    {
        $lastRead = (int) DB::table('cells')->where('walk_id', $walk->id)->where('result', '!=', 'withdrawn')->max('row_number');
        if ($lastRead > $planter->row_count) {
            throw ValidationException::withMessages([
                'row_count' => __('error.rows_already_read', ['rows' => $planter->row_count, 'row' => $lastRead]),
            ]);
        }
        $walk->fill([
            'row_count' => $planter->row_count,
            'sheet' => $planter->specSheet->sheet,
            'equipment' => $planter->equipment,
            'planned_acres' => $this->uses->plannedAcres($planter),
        ])->countPlaces()->save();
    }
}
