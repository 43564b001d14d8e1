<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\GlanceShape;
use App\Models\Planter;
use App\Wear\PlaceForecast;
use App\Wear\PlanterForecast;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Wear\Standing;

#[OA\Schema(schema: 'Left', description: 'Nine in ten, half, one in ten last longer than this; null where it is out of sight or the record too thin', required: ['p10', 'p50', 'p90'], properties: [
    new OA\Property(property: 'p10', type: 'number', nullable: true),
    new OA\Property(property: 'p50', description: 'By the nominal life where the record is too thin', type: 'number', nullable: true),
    new OA\Property(property: 'p90', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'PlaceForecast', required: ['row', 'check', 'side', 'slot', 'fitting_id', 'size_mm', 'use_m', 'left_m', 'left_acres', 'chance', 'due_on', 'thin', 'readings', 'outliers', 'standing', 'short', 'grown'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'slot', description: 'Whose part it is the size of; null for what is set', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Slot')]),
    new OA\Property(property: 'fitting_id', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'size_mm', description: 'Expected now; null where nothing was ever read', type: 'number', nullable: true),
    new OA\Property(property: 'use_m', description: 'Furrow metres that the part has run, as far as is known', type: 'number'),
    new OA\Property(property: 'left_m', description: 'Furrow metres', ref: '#/components/schemas/Left'),
    new OA\Property(property: 'left_acres', description: 'Acres of this planter', ref: '#/components/schemas/Left'),
    new OA\Property(property: 'chance', description: 'Of reaching the limit before the season ends', type: 'number', nullable: true),
    new OA\Property(property: 'due_on', description: 'The day on which as many have reached the limit as not, within the season', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'thin', description: 'Too little on record: what is left goes by the spec sheet\'s nominal life', type: 'boolean'),
    new OA\Property(property: 'readings', description: 'That it stands on', type: 'integer'),
    new OA\Property(property: 'outliers', description: 'Readings that do not fit the rest; they hardly weigh', type: 'array', items: new OA\Items(type: 'string', format: 'uuid')),
    new OA\Property(property: 'standing', description: 'How it stands in the season that is coming', type: 'string', enum: Standing::class),
    new OA\Property(property: 'short', description: 'Not to be counted on for the whole season', type: 'boolean'),
    new OA\Property(property: 'grown', description: 'Its newest reading shows more left than there can be: it may have been changed', type: 'boolean'),
])]
#[OA\Schema(schema: 'SeasonPlan', required: ['acres', 'done', 'left', 'days', 'planned'], properties: [
    new OA\Property(property: 'acres', type: 'number'),
    new OA\Property(property: 'done', type: 'number'),
    new OA\Property(property: 'left', type: 'number'),
    new OA\Property(property: 'days', description: 'From the first to the last day of planting', type: 'integer', nullable: true),
    new OA\Property(property: 'planned', description: 'False: nobody has said, and it is as much as the last season', type: 'boolean'),
])]
#[OA\Schema(schema: 'Forecast', required: ['plan', 'watch_chance', 'places', 'glance', 'grow_back'], properties: [
    new OA\Property(property: 'plan', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/SeasonPlan')]),
    new OA\Property(property: 'watch_chance', description: 'The shop\'s figure: over it a part is watched', type: 'number'),
    new OA\Property(property: 'places', type: 'array', items: new OA\Items(ref: '#/components/schemas/PlaceForecast')),
    new OA\Property(property: 'glance', ref: '#/components/schemas/Glance'),
    new OA\Property(property: 'grow_back', description: 'Checks that read as if parts grew back, all in all: the tape reads long, or the limit figures are wrong', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey')),
])]
final class ForecastShape
{
    /** @return array<string, mixed> */
    public static function of(PlanterForecast $forecast): array
    {
        return [
            'plan' => self::plan($forecast->planter, $forecast->plan),
            'watch_chance' => (float) $forecast->planter->workshop->watch_chance,
            'places' => array_map(self::place(...), $forecast->places),
            'glance' => GlanceShape::of($forecast->glance()),
            'grow_back' => $forecast->growBack(),
        ];
    }

    /** @return array<string, mixed>|null */
    public static function plan(Planter $planter, ?PlantingProgress $plan): ?array
    {
        return $plan === null ? null : [
            'acres' => $plan->acres,
            'done' => $plan->done,
            'left' => $plan->acresLeft(),
            'days' => $plan->days,
            'planned' => $planter->planned_acres !== null,
        ];
    }

    /** @return array<string, mixed> */
    private static function place(PlaceForecast $forecast): array
    {
        return [
            'row' => $forecast->place->row,
            'check' => $forecast->place->check->value,
            'side' => $forecast->place->side->value,
            'slot' => Slot::of($forecast->place->check)?->value,
            'fitting_id' => $forecast->fittingId,
            'size_mm' => $forecast->size === null ? null : round($forecast->size, 3),
            'use_m' => $forecast->use,
            'left_m' => $forecast->metres,
            'left_acres' => $forecast->acres,
            'chance' => $forecast->chance === null ? null : round($forecast->chance, 4),
            'due_on' => $forecast->dueOn?->iso,
            'thin' => $forecast->thin,
            'readings' => $forecast->readings,
            'outliers' => $forecast->outliers,
            'standing' => $forecast->standing->value,
            'short' => $forecast->standing->isShort(),
            'grown' => $forecast->grown,
        ];
    }
}
