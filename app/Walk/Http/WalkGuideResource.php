<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\SaysAll;
use App\Walk\Board\Http\BoardResource;
use App\Walk\Board\Http\CellShape;
use App\Walk\Board\WalkNews;
use App\Yard\Http\PlanterResource;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Trend;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkOrder;

/** @property WalkNews $resource */
#[OA\Schema(schema: 'WalkStep', properties: [
    new OA\Property(property: 'bands', description: 'Only where the season\'s outlook counts; else the check\'s, or those of row_bands', type: 'array', items: new OA\Items(ref: '#/components/schemas/Band')),
    new OA\Property(property: 'doubts', description: 'Only where last time counts; else the check\'s', type: 'array', items: new OA\Items(ref: '#/components/schemas/Doubt')),
], allOf: [new OA\Schema(ref: '#/components/schemas/Cell')])]
#[OA\Schema(schema: 'WalkGuide', required: ['planter', 'walk', 'season', 'checks', 'steps', 'orders', 'last_pack'], properties: [
    new OA\Property(property: 'planter', ref: '#/components/schemas/Planter'),
    new OA\Property(property: 'walk', description: 'Null where none is open: the guide of the walk that would be started', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Walk')]),
    new OA\Property(property: 'season', description: 'The year of planting', type: 'integer'),
    new OA\Property(property: 'checks', description: 'All that the planter has, walked today or not', type: 'array', items: new OA\Items(ref: '#/components/schemas/Check')),
    new OA\Property(property: 'steps', description: 'Every place that the planter has', type: 'array', items: new OA\Items(ref: '#/components/schemas/WalkStep')),
    new OA\Property(property: 'orders', description: 'By order, the steps by their place in the list', required: ['row_by_row', 'station_by_station', 'snake'], properties: [
        new OA\Property(property: 'row_by_row', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'station_by_station', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'snake', type: 'array', items: new OA\Items(type: 'integer')),
    ], type: 'object'),
    new OA\Property(property: 'last_pack', description: 'The name of the pack that the planter was last walked with', type: 'string', nullable: true),
], allOf: [new OA\Schema(ref: '#/components/schemas/WalkState')])]
final class WalkGuideResource extends JsonResource
{
    use SaysAll;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $board = $this->resource->board;
        $places = $board->places;
        $index = array_flip(array_map(static fn (Place $place): string => $place->key(), $places));
        $orders = [];
        foreach (WalkOrder::cases() as $order) {
            $route = Route::through($board->sheet, $board->rowCount, $order)->places;
            $orders[$order->value] = array_map(static fn (Place $place): int => $index[$place->key()], $route);
        }

        return [
            'planter' => (new PlanterResource($board->planter))->toArray($request),
            'walk' => $board->walk === null ? null : (new WalkResource($board->walk))->toArray($request),
            'season' => $board->season,
            'checks' => BoardResource::checks($board),
            'steps' => array_map($this->step(...), $places),
            'orders' => $orders,
            'last_pack' => $board->walk === null ? $board->planter->lastPack() : $board->walk->pack,
        ] + WalkNewsResource::state($this->resource);
    }

    /** @return array<string, mixed> */
    private function step(Place $place): array
    {
        $board = $this->resource->board;
        $check = $board->sheet->checks[$place->check->value];
        $last = ($board->last[$place->key()] ?? null)?->answer()->quantity;
        $outlook = $this->resource->outlooks[$place->key()] ?? null;
        $step = CellShape::of($place, $board);
        if ($outlook !== null) {
            $step['bands'] = GuideShape::bands($check, Background::of($outlook));
        }
        if ($last !== null && $check->rule->trend() !== Trend::Free) {
            $step['doubts'] = GuideShape::doubts($check, $last);
        }

        return $step;
    }
}
