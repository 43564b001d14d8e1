<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Walk\Board\HistoryQuery;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HistoryController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/history', operationId: 'history', tags: ['board'])]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'check', in: 'query', required: true, schema: new OA\Schema(ref: '#/components/schemas/CheckKey'))]
    #[OA\Parameter(name: 'side', in: 'query', required: true, schema: new OA\Schema(ref: '#/components/schemas/Side'))]
    #[OA\Response(response: 200, description: 'Every reading of one place, newest first, corrections included', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/HistoryReading')))]
    public function __invoke(HistoryRequest $request, Planter $planter, HistoryQuery $history): JsonResponse
    {
        return new JsonResponse(array_map(HistoryReadingView::of(...), $history->ofPlace($planter, $request->place())));
    }
}
