<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Wear\PlanterForecast;
use Illuminate\Support\Collection;
use OpenApi\Attributes as OA;
use stdClass;
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
#[OA\Schema(schema: 'Acres', required: ['lines', 'seasons', 'rows', 'plan', 'factors'], properties: [
    new OA\Property(property: 'lines', description: 'The newest 300', type: 'array', items: new OA\Items(ref: '#/components/schemas/AcresLine')),
    new OA\Property(property: 'seasons', type: 'array', items: new OA\Items(required: ['season', 'lines', 'acres'], properties: [
        new OA\Property(property: 'season', type: 'integer'),
        new OA\Property(property: 'lines', type: 'integer'),
        new OA\Property(property: 'acres', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'rows', description: 'Furrow metres that each row has run, from the left', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'plan', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/SeasonPlan')]),
    new OA\Property(property: 'factors', description: 'How fast parts wear on each kind of ground', required: ['soil', 'residue', 'tillage'], properties: [
        new OA\Property(property: 'soil', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
        new OA\Property(property: 'residue', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
        new OA\Property(property: 'tillage', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
    ], type: 'object'),
])]
final class AcresShape
{
    /**
     * @param  array{lines: Collection<int, stdClass>, seasons: Collection<int, stdClass>, forecast: PlanterForecast}  $acres
     * @return array<string, mixed>
     */
    public static function of(array $acres): array
    {
        $forecast = $acres['forecast'];

        return [
            'lines' => $acres['lines']->map(self::line(...))->all(),
            'seasons' => $acres['seasons']->map(static fn (stdClass $season): array => ['season' => $season->season, 'lines' => $season->lines, 'acres' => (float) $season->acres])->all(),
            'rows' => array_map(static fn (int $row): float => round($forecast->log->total($row)->metres, 1), range(1, $forecast->planter->row_count)),
            'plan' => ForecastShape::plan($forecast),
            'factors' => ['soil' => self::factors(Soil::cases()), 'residue' => self::factors(Residue::cases()), 'tillage' => self::factors(Tillage::cases())],
        ];
    }

    /** @return array<string, mixed> */
    private static function line(stdClass $line): array
    {
        $rows = [];
        foreach (json_decode($line->shares, true) as $row => $share) {
            $rows[(string) $share][] = (int) $row;
        }

        return [
            'id' => $line->id,
            'day' => $line->day,
            'field' => $line->field,
            'crop' => $line->crop,
            'acres' => (float) $line->acres,
            'mph' => $line->mph === null ? null : (float) $line->mph,
            'soil' => $line->soil,
            'residue' => $line->residue,
            'tillage' => $line->tillage,
            'severity' => (float) $line->severity,
            'own_severity' => $line->own_severity,
            'shut_off' => array_map(static fn (string|int $share, array $of): array => ['rows' => $of, 'share' => (float) $share], array_keys($rows), $rows),
            'logged_by' => $line->logged_by,
        ];
    }

    /**
     * @param  list<Soil|Residue|Tillage>  $cases
     * @return array<string, float>
     */
    private static function factors(array $cases): array
    {
        $factors = [];
        foreach ($cases as $case) {
            $factors[$case->value] = $case->factor();
        }

        return $factors;
    }
}
