<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Models\Walk\Walk;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** @mixin Walk */
#[OA\Schema(schema: 'WalkKind', type: 'string', enum: WalkKind::class)]
#[OA\Schema(schema: 'WalkOrder', type: 'string', enum: WalkOrder::class)]
#[OA\Schema(schema: 'Walk', required: ['id', 'season', 'kind', 'order', 'row_count', 'checks', 'pack', 'places', 'started_at', 'finished_at'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'season', description: 'The year of planting', type: 'integer'),
    new OA\Property(property: 'kind', ref: '#/components/schemas/WalkKind'),
    new OA\Property(property: 'order', ref: '#/components/schemas/WalkOrder'),
    new OA\Property(property: 'row_count', type: 'integer'),
    new OA\Property(property: 'checks', description: 'The checks that are walked', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey')),
    new OA\Property(property: 'pack', description: 'The name of the pack that it was started with', type: 'string', nullable: true),
    new OA\Property(property: 'places', description: 'How many readings the whole walk takes', type: 'integer'),
    new OA\Property(property: 'started_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'finished_at', type: 'string', format: 'date-time', nullable: true),
])]
final class WalkResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'season' => $this->season,
            'kind' => $this->kind->value,
            'order' => $this->walk_order->value,
            'row_count' => $this->row_count,
            'checks' => array_keys($this->resource->scope()->checks),
            'pack' => $this->pack,
            'places' => $this->resource->places(),
            'started_at' => $this->started_at->toIso8601ZuluString(),
            'finished_at' => $this->finished_at?->toIso8601ZuluString(),
        ];
    }
}
