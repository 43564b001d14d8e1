<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Queries\Board;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkOrder;

/** @property Board $resource */
#[OA\Schema(schema: 'Board', required: ['planter', 'walk', 'season', 'checks', 'ribbon', 'cells'], properties: [
    new OA\Property(property: 'planter', ref: '#/components/schemas/Planter'),
    new OA\Property(property: 'walk', description: 'Null where this season has no walk yet', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Walk')]),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'checks', type: 'array', items: new OA\Items(ref: '#/components/schemas/Check')),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'cells', description: 'Every place, row by row', type: 'array', items: new OA\Items(ref: '#/components/schemas/Cell')),
])]
final class BoardResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $board = $this->resource;
        $route = Route::through($board->sheet, $board->rowCount, WalkOrder::RowByRow);

        return [
            'planter' => (new PlanterResource($board->planter))->toArray($request),
            'walk' => $board->walk === null ? null : (new WalkResource($board->walk))->toArray($request),
            'season' => $board->season,
            'checks' => array_map(CheckShape::of(...), array_values($board->sheet->checks)),
            'ribbon' => array_map(RibbonRowResource::shape(...), $board->ribbon),
            'cells' => array_map(static fn (Place $place): array => CellShape::of($place, $board), $route->places),
        ];
    }
}
