<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;
use App\Models\Planter;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;

final readonly class PlanterView extends Schema
{
    public function __construct(
        public int $id,
        /** Of what its form changes */
        public string $version,
        public string $farm,
        public string $name,
        public int $row_count,
        public float $spacing_mm,
        public string $spacing_typed,
        /** @var list<int> */
        public array $sections,
        /** The year of planting that is being prepared */
        public int $season,
        public ?Day $planting_start,
        public ?float $planned_acres,
        public ?int $planting_days,
        /** Negative once planting has begun */
        public ?int $days_to_planting,
        /** @var array<string, string|bool|int|null> What most rows carry, and the planter as a whole: the kind of each assembly of core/units, by name */
        public array $equipment,
        /** @var list<Station> That most rows have, front to back */
        public array $stations,
        /**
         * @var list<array{
         *     rows: list<int>,
         *     spec_sheet_id: int|null, // Null where they go by the planter's
         *     equipment: array<string, string|bool|int|null>, // What they carry instead
         *     stations: list<Station>, // That they have, front to back
         * }> Rows that differ
         */
        public array $other_rows,
        /** @var list<int> Up, and not planting */
        public array $parked_rows,
        /** @var array<string, string> Targets of this planter itself, each with its unit, by check */
        public array $wanted,
        /**
         * @var array{
         *     id: int,
         *     name: string,
         *     type: RowUnitType,
         *     left_hand_thread: Side|null, // The side whose blade is bolted on with a left-hand thread
         *     torque: string, // Of the blade bolts, as the manual writes it; empty: see the manual
         * }
         */
        public array $spec_sheet,
    ) {
    }

    /** @param  Planter  $of  with its spec sheet */
    public static function of(Planter $of): self
    {
        $sheet = $of->specSheet->read();
        $threads = $sheet->threads;
        $units = $of->units();

        return new self(
            $of->id, $of->version(), $of->farm, $of->name, $of->row_count, (float) $of->spacing_mm, $of->spacing_typed, $of->sections, $of->season(), $of->planting_start,
            $of->planned_acres === null ? null : (float) $of->planned_acres, $of->planting_days, $of->daysToPlanting(), $units->most->toArray(), self::stations($sheet->for($units->most)),
            array_map(static fn (array $other): array => [
                'rows' => $other['rows'], 'spec_sheet_id' => $other['spec_sheet_id'], 'equipment' => $other['equipment'],
                'stations' => self::stations(($units->sheetAt($other['rows'][0]) ?? $sheet)->for($units->at($other['rows'][0]))),
            ], $of->other_rows),
            $of->parked_rows, $of->wanted,
            ['id' => $of->specSheet->id, 'name' => $of->specSheet->name, 'type' => RowUnitType::from($of->specSheet->type), 'left_hand_thread' => $threads->leftHand, 'torque' => $threads->torque],
        );
    }

    /** @return list<Station> front to back */
    private static function stations(Sheet $sheet): array
    {
        return array_values(array_unique(array_map(static fn (Check $check): Station => $check->station, $sheet->ofRows()), SORT_REGULAR));
    }
}
