<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Walk\Board\Http\HistoryRequest;
use App\Wear\ForecastQuery;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

final class WearController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/forecast', operationId: 'forecast', tags: ['wear'])]
    #[OA\Response(response: 200, description: 'How long everything that wears will last', content: new OA\JsonContent(ref: '#/components/schemas/Forecast'))]
    public function forecast(Planter $planter, ForecastQuery $forecasts): JsonResponse
    {
        return new JsonResponse(ForecastView::of($forecasts->of($planter->load('workshop'))));
    }

    #[OA\Get(path: '/api/planters/{planter}/wear-chart', operationId: 'wearChart', tags: ['wear'])]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'check', in: 'query', required: true, schema: new OA\Schema(ref: '#/components/schemas/CheckKey'))]
    #[OA\Parameter(name: 'side', in: 'query', required: true, schema: new OA\Schema(ref: '#/components/schemas/Side'))]
    #[OA\Response(response: 200, description: 'The wear of one place', content: new OA\JsonContent(ref: '#/components/schemas/WearChart'))]
    public function chart(HistoryRequest $request, Planter $planter): JsonResponse
    {
        $place = $request->place();
        $check = $planter->load(['specSheet', 'workshop'])->readSheet()->checkAt($place);
        $path = $check?->wear();
        if ($check === null || $path === null || ! $check->has($place->side) || $place->row < 1 || $place->row > $planter->row_count) {
            throw new NotFoundHttpException;
        }

        return new JsonResponse(WearChartView::of($planter, $check, $path, $place));
    }
}
