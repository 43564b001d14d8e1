<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\SaysAll;
use App\Walk\Board\Face;
use App\Walk\Http\WalkResource;
use App\Yard\Http\PlanterResource;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;

/** @property Face $resource */
#[OA\Schema(schema: 'Face', required: ['planter', 'walk', 'season', 'ribbon', 'whole_planter'], properties: [
    new OA\Property(property: 'planter', ref: '#/components/schemas/Planter'),
    new OA\Property(property: 'walk', description: 'Null where this season has no walk yet', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Walk')]),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'whole_planter', ref: '#/components/schemas/RibbonRow'),
])]
final class FaceResource extends JsonResource
{
    use SaysAll;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $face = $this->resource;

        return [
            'planter' => (new PlanterResource($face->planter))->toArray($request),
            'walk' => $face->walk === null ? null : (new WalkResource($face->walk))->toArray($request),
            'season' => $face->season,
            'ribbon' => array_map(RibbonRowResource::shape(...), $face->ribbon),
            'whole_planter' => RibbonRowResource::shape($face->wholePlanter),
        ];
    }
}
