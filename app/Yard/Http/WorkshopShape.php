<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Models\Workshop;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\ReadingError;

#[OA\Schema(schema: 'Workshop', required: ['currency', 'number_style', 'shop_rate', 'stop_cost', 'depth_cost', 'stop_hours', 'service_stops', 'crew', 'own_policy', 'watch_chance', 'time_zone', 'depth_school', 'meter_school', 'ground', 'measuring'], properties: [
    new OA\Property(property: 'currency', description: 'ISO 4217', type: 'string'),
    new OA\Property(property: 'number_style', description: 'How the workshop writes numbers: 1,234.5 or 1.234,5; null where nobody said', type: 'string', enum: NumberStyle::class, nullable: true),
    new OA\Property(property: 'shop_rate', description: 'Of an hour\'s work', type: 'number', nullable: true),
    new OA\Property(property: 'stop_cost', type: 'number', nullable: true),
    new OA\Property(property: 'depth_cost', type: 'number', nullable: true),
    new OA\Property(property: 'stop_hours', type: 'number', nullable: true),
    new OA\Property(property: 'service_stops', type: 'integer'),
    new OA\Property(property: 'crew', type: 'array', items: new OA\Items(ref: '#/components/schemas/CrewMember')),
    new OA\Property(property: 'own_policy', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/SlotRule')),
    new OA\Property(property: 'watch_chance', description: 'Over this chance of reaching its limit within the season a part is watched', type: 'number'),
    new OA\Property(property: 'time_zone', description: 'Of the tz database; days begin and end by it', type: 'string'),
    new OA\Property(property: 'depth_school', description: 'What the shop does about depth stops that do not lift alike', type: 'string', enum: DepthStrategy::class),
    new OA\Property(property: 'meter_school', description: 'When meters are due on the stand', type: 'string', enum: MeterStrategy::class),
    new OA\Property(property: 'ground', description: 'How fast parts wear by what is said of the ground, each to ground like any other', type: 'array', items: new OA\Items(required: ['kind', 'case', 'typical', 'own'], properties: [
        new OA\Property(property: 'kind', type: 'string', enum: ['soil', 'residue', 'tillage', 'downforce']),
        new OA\Property(property: 'case', type: 'string'),
        new OA\Property(property: 'typical', type: 'number'),
        new OA\Property(property: 'own', type: 'number', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'measuring', description: 'How far the shop measures off, as a standard deviation in millimetres', type: 'array', items: new OA\Items(required: ['check', 'typical', 'learned', 'own'], properties: [
        new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
        new OA\Property(property: 'typical', type: 'number'),
        new OA\Property(property: 'learned', description: 'As the shop\'s own readings tell; null as long as they tell nothing', type: 'number', nullable: true),
        new OA\Property(property: 'own', description: 'As the shop says itself', type: 'number', nullable: true),
    ], type: 'object')),
])]
final class WorkshopShape
{
    /** @return array<string, mixed> */
    public static function of(Workshop $workshop): array
    {
        $ground = [];
        foreach (GroundFactors::kinds() as $kind => $cases) {
            foreach ($cases as $case) {
                $ground[] = ['kind' => $kind, 'case' => $case->value, 'typical' => $case->factor(), 'own' => $workshop->ground_factors[$kind][$case->value] ?? null];
            }
        }

        return [
            'currency' => $workshop->currency,
            'number_style' => $workshop->number_style?->value,
            'shop_rate' => $workshop->shop_rate === null ? null : (float) $workshop->shop_rate,
            'stop_cost' => $workshop->stop_cost === null ? null : (float) $workshop->stop_cost,
            'depth_cost' => $workshop->depth_cost === null ? null : (float) $workshop->depth_cost,
            'stop_hours' => $workshop->stop_hours === null ? null : (float) $workshop->stop_hours,
            'service_stops' => $workshop->service_stops,
            'crew' => array_map(static fn (array $one): array => ['name' => $one['name'], 'hours' => array_values($one['hours'])], $workshop->crew),
            'own_policy' => (object) $workshop->own_policy,
            'watch_chance' => (float) $workshop->watch_chance,
            'time_zone' => $workshop->time_zone,
            'depth_school' => $workshop->depth_school->value,
            'meter_school' => $workshop->meter_school->value,
            'ground' => $ground,
            'measuring' => array_map(static fn (CheckKey $check): array => [
                'check' => $check->value,
                'typical' => ReadingError::of($check)->sd,
                'learned' => $workshop->learned_sd[$check->value] ?? null,
                'own' => $workshop->own_sd[$check->value] ?? null,
            ], ReadingError::checks()),
        ];
    }
}
