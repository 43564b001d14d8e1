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

/** @property Board $resource a board that has a walk */
#[OA\Schema(schema: 'WalkStep', allOf: [new OA\Schema(ref: '#/components/schemas/Cell')], required: ['turn', 'bands', 'doubts'], properties: [
    new OA\Property(property: 'turn', description: 'The place\'s turn in each order, from 0', required: ['row_by_row', 'station_by_station'], properties: [
        new OA\Property(property: 'row_by_row', type: 'integer'),
        new OA\Property(property: 'station_by_station', type: 'integer'),
    ], type: 'object'),
    new OA\Property(property: 'bands', type: 'array', items: new OA\Items(ref: '#/components/schemas/Band')),
    new OA\Property(property: 'doubts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Doubt')),
])]
#[OA\Schema(schema: 'WalkGuide', required: ['planter', 'walk', 'checks', 'ribbon', 'steps', 'row_doubts'], properties: [
    new OA\Property(property: 'planter', ref: '#/components/schemas/Planter'),
    new OA\Property(property: 'walk', ref: '#/components/schemas/Walk'),
    new OA\Property(property: 'checks', type: 'array', items: new OA\Items(ref: '#/components/schemas/Check')),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'steps', description: 'Every place, row by row', type: 'array', items: new OA\Items(ref: '#/components/schemas/WalkStep')),
    new OA\Property(property: 'row_doubts', ref: '#/components/schemas/RowDoubt'),
])]
final class WalkGuideResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $board = $this->resource;
        $face = (new BoardResource($board))->toArray($request);
        $rowByRow = Route::through($board->sheet, $board->rowCount, WalkOrder::RowByRow)->places;
        $stationByStation = Route::through($board->sheet, $board->rowCount, WalkOrder::StationByStation)->places;
        $turns = array_flip(array_map(static fn (Place $place): string => $place->key(), $stationByStation));

        $steps = [];
        foreach ($rowByRow as $turn => $place) {
            $check = $board->sheet->checks[$place->check->value];
            $steps[] = CellShape::of($place, $board) + [
                'turn' => ['row_by_row' => $turn, 'station_by_station' => $turns[$place->key()]],
                'bands' => GuideShape::bands($check, $place, $board),
                'doubts' => GuideShape::doubts($check, $place, $board),
            ];
        }

        return [
            'planter' => $face['planter'],
            'walk' => $face['walk'],
            'checks' => $face['checks'],
            'ribbon' => $face['ribbon'],
            'steps' => $steps,
            'row_doubts' => (object) GuideShape::rowDoubts($board),
        ];
    }
}
