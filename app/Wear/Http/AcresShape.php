<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Models\AcresEntry;
use App\Models\Planter;
use App\Wear\WearRecord;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Wear\Ground;
use Ustrel\Core\Wear\Residue;
use Ustrel\Core\Wear\Soil;
use Ustrel\Core\Wear\Tillage;

#[OA\Schema(schema: 'AcresLine', required: ['id', 'day', 'field', 'crop', 'acres', 'mph', 'soil', 'residue', 'tillage', 'severity', 'own_severity', 'shut_off', 'logged_by'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'day', type: 'string', format: 'date'),
    new OA\Property(property: 'field', type: 'string'),
    new OA\Property(property: 'crop', type: 'string', nullable: true),
    new OA\Property(property: 'acres', type: 'number'),
    new OA\Property(property: 'mph', type: 'number', nullable: true),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'tillage', type: 'string', enum: Tillage::class, nullable: true),
    new OA\Property(property: 'severity', type: 'number'),
    new OA\Property(property: 'own_severity', type: 'boolean'),
    new OA\Property(property: 'shut_off', type: 'array', items: new OA\Items(ref: '#/components/schemas/ShutOff')),
    new OA\Property(property: 'logged_by', type: 'string'),
])]
#[OA\Schema(schema: 'Acres', required: ['lines', 'seasons', 'rows', 'plan', 'severities'], properties: [
    new OA\Property(property: 'lines', description: 'The newest 300', type: 'array', items: new OA\Items(ref: '#/components/schemas/AcresLine')),
    new OA\Property(property: 'seasons', type: 'array', items: new OA\Items(required: ['season', 'lines', 'acres'], properties: [
        new OA\Property(property: 'season', type: 'integer'),
        new OA\Property(property: 'lines', type: 'integer'),
        new OA\Property(property: 'acres', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'rows', description: 'Furrow metres that each row has run, from the left', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'plan', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/SeasonPlan')]),
    new OA\Property(property: 'severities', description: 'How fast parts wear on each kind of ground: by soil, residue and tillage with spaces between, - for what is not said', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
])]
final class AcresShape
{
    /**
     * @param  array{planter: Planter, lines: Collection<int, AcresEntry>, seasons: list<array{season: int, lines: int, acres: float}>, record: WearRecord}  $acres
     * @return array<string, mixed>
     */
    public static function of(array $acres): array
    {
        $log = $acres['record']->log();

        return [
            'lines' => $acres['lines']->map(self::line(...))->all(),
            'seasons' => $acres['seasons'],
            'rows' => array_map(static fn (int $row): float => round($log->total($row)->metres, 1), range(1, $acres['planter']->row_count)),
            'plan' => ForecastShape::plan($acres['planter'], $acres['record']->plan()),
            'severities' => self::severities(),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(AcresEntry $line): array
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
            'severity' => (float) $line->severity,
            'own_severity' => $line->own_severity,
            'shut_off' => array_map(static fn (string|int $share, array $of): array => ['rows' => $of, 'share' => (float) $share], array_keys($rows), $rows),
            'logged_by' => $line->user->name,
        ];
    }

    /** @return array<string, float> by soil, residue and tillage with spaces between, `-` for what is not said */
    private static function severities(): array
    {
        $severities = [];
        foreach ([null, ...Soil::cases()] as $soil) {
            foreach ([null, ...Residue::cases()] as $residue) {
                foreach ([null, ...Tillage::cases()] as $tillage) {
                    $ground = implode(' ', array_map(static fn (Soil|Residue|Tillage|null $case): string => $case->value ?? '-', [$soil, $residue, $tillage]));
                    $severities[$ground] = (new Ground($soil, $residue, $tillage))->severity();
                }
            }
        }

        return $severities;
    }
}
