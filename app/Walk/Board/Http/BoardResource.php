<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\GlanceShape;
use App\Http\SaysAll;
use App\Spec\Http\CheckShape;
use App\Walk\Board\Board;
use App\Walk\Http\GuideShape;
use App\Walk\Http\WalkResource;
use App\Yard\Http\PlanterResource;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Walk\Findings;
use Ustrel\Core\Walk\Glance;
use Ustrel\Core\Walk\Place;

/** @property Board $resource */
#[OA\Schema(schema: 'Board', required: ['planter', 'walk', 'season', 'checks', 'ribbon', 'whole_planter', 'row_doubts', 'cells', 'glance', 'findings'], properties: [
    new OA\Property(property: 'planter', ref: '#/components/schemas/Planter'),
    new OA\Property(property: 'walk', description: 'Null where this season has no walk yet', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Walk')]),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'checks', type: 'array', items: new OA\Items(ref: '#/components/schemas/Check')),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'whole_planter', ref: '#/components/schemas/RibbonRow'),
    new OA\Property(property: 'row_doubts', ref: '#/components/schemas/RowDoubts'),
    new OA\Property(property: 'cells', description: 'Every place, row by row', type: 'array', items: new OA\Items(ref: '#/components/schemas/BoardCell')),
    new OA\Property(property: 'glance', ref: '#/components/schemas/Glance'),
    new OA\Property(property: 'findings', description: 'What is not sound, the worst first: places in the list of cells', type: 'array', items: new OA\Items(type: 'integer')),
])]
final class BoardResource extends JsonResource
{
    use SaysAll;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $board = $this->resource;
        $places = $board->places;

        return [
            'planter' => (new PlanterResource($board->planter))->toArray($request),
            'walk' => $board->walk === null ? null : (new WalkResource($board->walk))->toArray($request),
            'season' => $board->season,
            'checks' => self::checks($board),
            'ribbon' => array_map(RibbonRowResource::shape(...), $board->ribbon),
            'whole_planter' => RibbonRowResource::shape($board->wholePlanter),
            'row_doubts' => (object) GuideShape::rowDoubts($board),
            'cells' => array_map(static fn (Place $place): array => BoardCellShape::of($place, $board), $places),
            'glance' => GlanceShape::of(Glance::ofVerdicts($board->sheet, $board->scope, $places, $board->rowCount, $board->verdicts())),
            'findings' => Findings::among($places, $board->verdicts()),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function checks(Board $board): array
    {
        $figures = $board->figures();

        return array_map(
            static fn (Check $check): array => CheckShape::of($check, $figures[$check->key->value] ?? []),
            array_values($board->sheet->checks),
        );
    }
}
