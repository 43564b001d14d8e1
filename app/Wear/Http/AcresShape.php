<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Field\SettingsOfDay;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Wear\WearRecord;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Arr;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Log\AgainstMap;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\Acres\PassKind;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

#[OA\Schema(schema: 'AcresLine', required: ['id', 'day', 'field', 'crop', 'acres', 'mph', 'soil', 'residue', 'tillage', 'downforce', 'severity', 'own_severity', 'shut_off', 'pass', 'lot', 'seed_lot_id', 'units_drawn', 'left_out', 'population', 'products', 'map_acres', 'off_map', 'around', 'until', 'around_over', 'note', 'set', 'logged_by'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'day', type: 'string', format: 'date'),
    new OA\Property(property: 'field', type: 'string'),
    new OA\Property(property: 'crop', type: 'string', nullable: true),
    new OA\Property(property: 'acres', type: 'number'),
    new OA\Property(property: 'mph', type: 'number', nullable: true),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'tillage', type: 'string', enum: Tillage::class, nullable: true),
    new OA\Property(property: 'downforce', type: 'string', enum: DownforceLevel::class, nullable: true),
    new OA\Property(property: 'severity', type: 'number'),
    new OA\Property(property: 'own_severity', type: 'boolean'),
    new OA\Property(property: 'shut_off', type: 'array', items: new OA\Items(ref: '#/components/schemas/ShutOff')),
    new OA\Property(property: 'pass', description: 'Only planting wears row units and counts as planted', type: 'string', enum: PassKind::class),
    new OA\Property(property: 'lot', description: 'As it is called now', type: 'string', nullable: true),
    new OA\Property(property: 'seed_lot_id', type: 'integer', nullable: true),
    new OA\Property(property: 'units_drawn', description: 'Of the lot, by what a unit held when the line was logged', type: 'number', nullable: true),
    new OA\Property(property: 'left_out', description: 'Products that were to go on and did not', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'population', description: 'As it is typed', type: 'string', nullable: true),
    new OA\Property(property: 'products', description: 'As they are typed', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'map_acres', type: 'number', nullable: true),
    new OA\Property(property: 'off_map', description: 'Share that the counter says more than the map, where that is more than overlap makes', type: 'number', nullable: true),
    new OA\Property(property: 'around', type: 'string', nullable: true),
    new OA\Property(property: 'until', type: 'string', nullable: true),
    new OA\Property(property: 'around_over', type: 'boolean'),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'set', description: 'What the planter was set to that day, in words; empty where nothing is on record', type: 'string'),
    new OA\Property(property: 'logged_by', type: 'string'),
])]
#[OA\Schema(schema: 'Acres', required: ['lines', 'fields', 'arounds', 'seasons', 'rows', 'plan', 'severities'], properties: [
    new OA\Property(property: 'lines', description: 'The newest 300', type: 'array', items: new OA\Items(ref: '#/components/schemas/AcresLine')),
    new OA\Property(property: 'arounds', description: 'Lines with something that is made do with and not over, of whatever age', type: 'array', items: new OA\Items(ref: '#/components/schemas/AcresLine')),
    new OA\Property(property: 'fields', description: 'Of the season: planned against done', type: 'array', items: new OA\Items(required: ['name', 'planned', 'done', 'is_done', 'seed', 'lots', 'population', 'planted'], properties: [
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'planned', type: 'number', nullable: true),
        new OA\Property(property: 'done', type: 'number'),
        new OA\Property(property: 'is_done', type: 'boolean'),
        new OA\Property(property: 'seed', type: 'string', nullable: true),
        new OA\Property(property: 'lots', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'population', type: 'integer', nullable: true),
        new OA\Property(property: 'planted', description: 'Seeds an acre on the mean, where the log says', type: 'integer', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'seasons', type: 'array', items: new OA\Items(required: ['season', 'lines', 'acres'], properties: [
        new OA\Property(property: 'season', type: 'integer'),
        new OA\Property(property: 'lines', type: 'integer'),
        new OA\Property(property: 'acres', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'rows', description: 'Furrow metres that each row has run, from the left', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'plan', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/SeasonPlan')]),
    new OA\Property(property: 'severities', description: 'How fast parts wear on each kind of ground: by soil, residue, tillage and downforce with spaces between, - for what is not said', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
])]
final class AcresShape
{
    /**
     * @param  array{planter: Planter, lines: Collection<int, AcresEntry>, arounds: Collection<int, AcresEntry>, fields: list<array<string, mixed>>, seasons: list<array{season: int, lines: int, acres: float}>, record: WearRecord}  $acres
     * @return array<string, mixed>
     */
    public static function of(array $acres, SettingsOfDay $settings): array
    {
        $style = $acres['planter']->workshop->number_style ?? NumberStyle::Point;
        $line = static fn (AcresEntry $line): array => self::line($line, $settings, $style);
        $log = $acres['record']->log();

        return [
            'lines' => $acres['lines']->map($line)->all(),
            'arounds' => $acres['arounds']->map($line)->all(),
            'fields' => $acres['fields'],
            'seasons' => $acres['seasons'],
            'rows' => array_map(static fn (int $row): float => round($log->total($row)->metres, 1), range(1, $acres['planter']->row_count)),
            'plan' => ForecastShape::plan($acres['planter'], $acres['record']->plan()),
            'severities' => self::severities($acres['planter']->workshop->groundFactors()),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(AcresEntry $line, SettingsOfDay $settings, NumberStyle $style): array
    {
        $rows = [];
        foreach ($line->shares as $row => $share) {
            $rows[(string) $share][] = $row;
        }

        return [
            'id' => $line->id,
            'day' => $line->day->iso,
            'field' => $line->field,
            'crop' => $line->crop,
            'acres' => (float) $line->acres,
            'mph' => $line->mph === null ? null : (float) $line->mph,
            'soil' => $line->soil?->value,
            'residue' => $line->residue?->value,
            'tillage' => $line->tillage?->value,
            'downforce' => $line->downforce?->value,
            'severity' => (float) $line->severity,
            'own_severity' => $line->own_severity,
            'shut_off' => array_map(static fn (string|int $share, array $of): array => ['rows' => $of, 'share' => (float) $share], array_keys($rows), $rows),
            'pass' => $line->pass->value,
            'lot' => $line->lotName(),
            'seed_lot_id' => $line->seed_lot_id,
            'units_drawn' => $line->units_drawn === null ? null : (float) $line->units_drawn,
            'left_out' => $line->left_out,
            'population' => $line->population()?->said($style),
            'products' => array_map(static fn (Product $of): string => $of->said($style), $line->goesOn()),
            'map_acres' => $line->map_acres === null ? null : (float) $line->map_acres,
            'off_map' => $line->map_acres !== null && AgainstMap::isOff((float) $line->acres, (float) $line->map_acres) ? round(AgainstMap::more((float) $line->acres, (float) $line->map_acres), 4) : null,
            'around' => $line->around,
            'until' => $line->until,
            'around_over' => $line->around_over,
            'note' => $line->note,
            'set' => $settings->on($line->day),
            'logged_by' => $line->user->name,
        ];
    }

    /** @return array<string, float> by soil, residue, tillage and downforce with spaces between, `-` for what is not said */
    private static function severities(GroundFactors $factors): array
    {
        $severities = [];
        foreach (Arr::crossJoin(...array_map(static fn (array $cases): array => [null, ...$cases], array_values(GroundFactors::kinds()))) as $said) {
            /** @var array{Soil|null, Residue|null, Tillage|null, DownforceLevel|null} $said */
            $key = implode(' ', array_map(static fn (Soil|Residue|Tillage|DownforceLevel|null $case): string => $case->value ?? '-', $said));
            $severities[$key] = (new Ground($said[0], $said[1], $said[2], downforce: $said[3]))->severity($factors);
        }

        return $severities;
    }
}
