<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Models\Planter;
use App\Spec\Http\ThreadsShape;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;

/** @mixin Planter */
#[OA\Schema(schema: 'Planter', required: ['id', 'version', 'farm', 'name', 'row_count', 'spacing_mm', 'spacing_typed', 'sections', 'season', 'planting_start', 'planned_acres', 'planting_days', 'days_to_planting', 'equipment', 'spec_sheet'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'version', description: 'Of what its form changes', type: 'string'),
    new OA\Property(property: 'farm', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'row_count', type: 'integer'),
    new OA\Property(property: 'spacing_mm', type: 'number'),
    new OA\Property(property: 'spacing_typed', type: 'string'),
    new OA\Property(property: 'sections', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'season', description: 'The year of planting that is being prepared', type: 'integer'),
    new OA\Property(property: 'planting_start', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'planned_acres', type: 'number', nullable: true),
    new OA\Property(property: 'planting_days', type: 'integer', nullable: true),
    new OA\Property(property: 'days_to_planting', description: 'Negative once planting has begun', type: 'integer', nullable: true),
    new OA\Property(property: 'equipment', ref: '#/components/schemas/Equipment'),
    new OA\Property(property: 'spec_sheet', required: ['id', 'name', 'type', 'left_hand_thread', 'torque'], properties: [
        new OA\Property(property: 'left_hand_thread', description: 'The side whose blade is bolted on with a left-hand thread', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Side')]),
        new OA\Property(property: 'torque', description: 'Of the blade bolts, as the manual writes it; empty: see the manual', type: 'string'),
        new OA\Property(property: 'id', type: 'integer'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'type', type: 'string'),
    ], type: 'object'),
])]
final class PlanterResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'version' => $this->resource->version(),
            'farm' => $this->farm,
            'name' => $this->name,
            'row_count' => $this->row_count,
            'spacing_mm' => (float) $this->spacing_mm,
            'spacing_typed' => $this->spacing_typed,
            'sections' => $this->sections,
            'season' => $this->resource->season(),
            'planting_start' => $this->planting_start?->iso,
            'planned_acres' => $this->planned_acres === null ? null : (float) $this->planned_acres,
            'planting_days' => $this->planting_days,
            'days_to_planting' => $this->resource->daysToPlanting(),
            'equipment' => $this->carries()->toArray(),
            'spec_sheet' => $this->specSheet->only(['id', 'name', 'type']) + ThreadsShape::of($this->specSheet->read()->threads),
        ];
    }
}
