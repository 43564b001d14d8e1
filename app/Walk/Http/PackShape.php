<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Models\Walk\Pack;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Pack', required: ['id', 'name', 'kind', 'checks', 'version'], properties: [
    new OA\Property(property: 'id', description: 'Null for those that are shipped, which cannot be changed', type: 'integer', nullable: true),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'version', description: 'Of what its form changes; null for those that are shipped', type: 'string', nullable: true),
    new OA\Property(property: 'kind', description: 'Of the walk that it proposes', ref: '#/components/schemas/WalkKind'),
    new OA\Property(property: 'checks', description: 'Null for all that a planter has', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey'), nullable: true),
])]
final class PackShape
{
    /** @return array{id: int, name: string, kind: string, checks: list<string>, version: string} */
    public static function of(Pack $pack): array
    {
        return ['id' => $pack->id, 'name' => $pack->name, 'kind' => $pack->kind->value, 'checks' => $pack->checks, 'version' => $pack->version()];
    }
}
