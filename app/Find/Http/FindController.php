<?php

declare(strict_types=1);

namespace App\Find\Http;

use App\Find\FindQuery;
use App\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class FindController extends Controller
{
    #[OA\Get(path: '/api/find', operationId: 'find', description: 'All that somebody can find by name: short, so that a device keeps it and finds without a signal. Of notes the newest '.FindQuery::MOST_NOTES, tags: ['yard'])]
    #[OA\Response(response: 200, description: 'In no order that matters', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Findable')))]
    public function __invoke(Request $request, FindQuery $find): JsonResponse
    {
        return new JsonResponse(array_map(FindableView::of(...), $find->of($this->user($request))));
    }
}
