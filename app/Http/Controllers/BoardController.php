<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\BoardResource;
use App\Models\Planter;
use App\Queries\BoardQuery;
use OpenApi\Attributes as OA;

final class BoardController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/board', operationId: 'board', tags: ['board'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'The planter by the newest walk of this season', content: new OA\JsonContent(ref: '#/components/schemas/Board'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function __invoke(Planter $planter, BoardQuery $board): BoardResource
    {
        return new BoardResource($board->ofPlanter($planter->load('specSheet')));
    }
}
