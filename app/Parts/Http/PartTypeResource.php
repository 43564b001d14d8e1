<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Models\Parts\PartType;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;

/** @mixin PartType */
#[OA\Schema(schema: 'PartType', required: ['id', 'version', 'name', 'own_number', 'slots', 'per_row', 'new_size_mm', 'new_size_typed', 'life_m', 'price', 'lead_days', 'minimum', 'notes', 'heavy', 'clearance'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'version', description: 'Of what its form changes', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'own_number', type: 'string', nullable: true),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Slot')),
    new OA\Property(property: 'per_row', type: 'integer'),
    new OA\Property(property: 'new_size_mm', type: 'number', nullable: true),
    new OA\Property(property: 'new_size_typed', type: 'string', nullable: true),
    new OA\Property(property: 'life_m', description: 'Expected, furrow metres', type: 'number', nullable: true),
    new OA\Property(property: 'price', description: 'For one', type: 'number', nullable: true),
    new OA\Property(property: 'lead_days', type: 'integer', nullable: true),
    new OA\Property(property: 'minimum', description: 'That is to stay on the shelf', type: 'integer', nullable: true),
    new OA\Property(property: 'notes', type: 'string'),
    new OA\Property(property: 'heavy', type: 'boolean'),
    new OA\Property(property: 'clearance', type: 'boolean'),
])]
final class PartTypeResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $number = static fn (string|float|int|null $value): ?float => $value === null ? null : (float) $value;

        return [
            'id' => $this->id,
            'version' => $this->resource->version(),
            'name' => $this->name,
            'own_number' => $this->own_number,
            'slots' => $this->slots,
            'per_row' => $this->per_row,
            'new_size_mm' => $number($this->new_size),
            'new_size_typed' => $this->new_size_typed,
            'life_m' => $number($this->life_m),
            'price' => $number($this->price),
            'lead_days' => $this->lead_days,
            'minimum' => $this->minimum,
            'notes' => $this->notes,
            'heavy' => $this->heavy,
            'clearance' => $this->clearance,
        ];
    }
}
