<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Walk\Board\Http\HistoryRequest;
use App\Wear\ForecastQuery;
use App\Wear\WearChartQuery;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

#[OA\Schema(schema: 'WearChart', description: 'Distances in furrow metres of the row, each counted by the severity of its ground', required: ['check', 'shrinks', 'limit_mm', 'new_mm', 'metres_per_acre', 'now_m', 'season_end_m', 'points', 'changes', 'line', 'thin'], properties: [
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'shrinks', description: 'Else it grows', type: 'boolean'),
    new OA\Property(property: 'limit_mm', type: 'number'),
    new OA\Property(property: 'new_mm', type: 'number', nullable: true),
    new OA\Property(property: 'metres_per_acre', description: 'What one acre of the planter is worth on its own ground', type: 'number'),
    new OA\Property(property: 'now_m', type: 'number'),
    new OA\Property(property: 'season_end_m', type: 'number', nullable: true),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(required: ['at_m', 'size_mm', 'taken_at', 'current', 'outlier'], properties: [
        new OA\Property(property: 'at_m', type: 'number'),
        new OA\Property(property: 'size_mm', type: 'number'),
        new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'current', description: 'Of the part that is fitted now', type: 'boolean'),
        new OA\Property(property: 'outlier', description: 'Does not fit the rest; it hardly weighs', type: 'boolean'),
    ], type: 'object')),
    new OA\Property(property: 'changes', description: 'Where another part went in, or it was set anew', type: 'array', items: new OA\Items(required: ['at_m', 'on'], properties: [
        new OA\Property(property: 'at_m', type: 'number'),
        new OA\Property(property: 'on', type: 'string', format: 'date'),
    ], type: 'object')),
    new OA\Property(property: 'line', description: 'Expected size with the ends of the 80 % band; empty where the record is too thin', type: 'array', items: new OA\Items(required: ['at_m', 'size_mm', 'low_mm', 'high_mm'], properties: [
        new OA\Property(property: 'at_m', type: 'number'),
        new OA\Property(property: 'size_mm', type: 'number'),
        new OA\Property(property: 'low_mm', type: 'number'),
        new OA\Property(property: 'high_mm', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'thin', type: 'boolean'),
])]
final class WearController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/forecast', operationId: 'forecast', tags: ['wear'])]
    #[OA\Response(response: 200, description: 'How long everything that wears will last', content: new OA\JsonContent(ref: '#/components/schemas/Forecast'))]
    public function forecast(Planter $planter, ForecastQuery $forecasts): JsonResponse
    {
        return new JsonResponse(ForecastShape::of($forecasts->of($planter->load('workshop'))));
    }

    #[OA\Get(path: '/api/planters/{planter}/wear-chart', operationId: 'wearChart', tags: ['wear'])]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'check', in: 'query', required: true, schema: new OA\Schema(ref: '#/components/schemas/CheckKey'))]
    #[OA\Parameter(name: 'side', in: 'query', required: true, schema: new OA\Schema(ref: '#/components/schemas/Side'))]
    #[OA\Response(response: 200, description: 'The wear of one place', content: new OA\JsonContent(ref: '#/components/schemas/WearChart'))]
    public function chart(HistoryRequest $request, Planter $planter, WearChartQuery $charts): JsonResponse
    {
        $place = $request->place();
        $check = $planter->load(['specSheet', 'workshop'])->readSheet()->check($place->check);
        $path = $check?->wear();
        if ($check === null || $path === null || ! $check->has($place->side) || $place->row < 1 || $place->row > $planter->row_count) {
            throw new NotFoundHttpException;
        }

        return new JsonResponse($charts->of($planter, $check, $path, $place));
    }
}
