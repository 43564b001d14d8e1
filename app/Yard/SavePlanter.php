<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Document;
use App\Record\Moments;
use App\Wear\WearRecord;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Walk\Result;

/** Makes a planter or changes it, and brings its open walk along. */
final readonly class SavePlanter
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<string, mixed>  $fields  the planter's columns, validated
     * @param  string|null  $seen  version that was changed
     *
     * @throws ValidationException where the name is taken, or rows would go that were already read
     */
    public function __invoke(Planter $planter, array $fields, ?string $seen = null): Planter
    {
        try {
            return $planter->exists ? $this->change($planter, $fields, $seen) : self::make($planter, $fields);
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __('error.planter_name_taken', ['farm' => $fields['farm'], 'name' => $fields['name']])]);
        }
    }

    /** @param  array<string, mixed>  $fields */
    private static function make(Planter $planter, array $fields): Planter
    {
        DB::transaction(static fn (): bool => self::fill($planter, $fields)->save());

        return $planter->load(['specSheet', 'workshop']);
    }

    /** @param  array<string, mixed>  $fields */
    private function change(Planter $planter, array $fields, ?string $seen): Planter
    {
        return $this->change->of($planter, static function (Planter $planter, Affected $affected) use ($fields, $seen): Planter {
            Document::isKnown($planter, $fields, $seen);
            self::fill($planter, $fields)->save();
            $planter->load('specSheet');
            $walk = $planter->openWalk();
            if ($walk !== null) {
                self::bringAlong($walk, $planter);
            }
            // Other rows, another spacing or another season turn the acres of all its past into other distances.
            $affected->everything = true;

            return $planter;
        });
    }

    /** @param  array<string, mixed>  $fields */
    private static function fill(Planter $planter, array $fields): Planter
    {
        $planter->fill(Arr::except($fields, 'parked_rows'));
        // Those of a new planter are up for the whole of its season.
        $from = $planter->exists ? Moments::now() : $planter->seasons()->begins($planter->season())->plusDays(-1)->end($planter->workshop->zone());
        $planter->park($fields['parked_rows'] ?? $planter->parked_rows, $from);

        return $planter;
    }

    private static function bringAlong(Walk $walk, Planter $planter): void
    {
        $lastRead = (int) Cell::query()->where('walk_id', $walk->id)->where('result', '!=', Result::Withdrawn->value)->max('row_number');
        if ($lastRead > $planter->row_count) {
            throw ValidationException::withMessages([
                'row_count' => __('error.rows_already_read', ['rows' => $planter->row_count, 'row' => $lastRead]),
            ]);
        }
        $walk->fill([
            ...$planter->asWalked(),
            'planned_acres' => (new WearRecord($planter))->plannedAcres(),
        ])->countPlaces()->save();
    }
}
