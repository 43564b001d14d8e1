<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Yard\YardQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class YardController extends Controller
{
    #[OA\Get(path: '/api/yard', operationId: 'yard', tags: ['yard'])]
    #[OA\Response(response: 200, description: 'Every planter of the workshop, the most pressing first; a guest\'s one', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/YardPlanter')))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function __invoke(Request $request, YardQuery $yard): JsonResponse
    {
        return new JsonResponse(array_map(YardPlanterView::of(...), $yard->of($this->user($request))));
    }
}
