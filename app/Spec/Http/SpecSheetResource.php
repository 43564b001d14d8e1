<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Models\SpecSheet;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;

/** @property SpecSheet $resource */
#[OA\Schema(schema: 'SpecSheet', required: ['id', 'version', 'name', 'type', 'own', 'notch', 'left_hand_thread', 'torque', 'checks', 'typical_equipment'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'version', description: 'Of what its form changes', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'type', type: 'string', enum: RowUnitType::class),
    new OA\Property(property: 'own', description: 'The workshop\'s own, to be edited', type: 'boolean'),
    new OA\Property(property: 'notch', ref: '#/components/schemas/Figure'),
    new OA\Property(property: 'left_hand_thread', description: 'The side whose blade is bolted on with a left-hand thread', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Side')]),
    new OA\Property(property: 'torque', description: 'Of the blade bolts, as the manual writes it; empty: see the manual', type: 'string'),
    new OA\Property(property: 'typical_equipment', ref: '#/components/schemas/Equipment'),
    new OA\Property(property: 'checks', type: 'array', items: new OA\Items(ref: '#/components/schemas/Check')),
])]
final class SpecSheetResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $sheet = $this->resource->read();

        return [
            'id' => $this->resource->id,
            'version' => $this->resource->version(),
            'name' => $this->resource->name,
            'type' => $sheet->type->value,
            'own' => $this->resource->workshop_id !== null,
            'notch' => CheckShape::figure($sheet->notch),
            ...ThreadsShape::of($sheet->threads),
            'typical_equipment' => Equipment::typicalOf($sheet->type)->toArray(),
            'checks' => array_map(static fn (Check $check): array => CheckShape::of($check), array_values($sheet->checks)),
        ];
    }
}
