<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Walk\Board\BoardQuery;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class BoardController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/board', operationId: 'board', tags: ['board'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Parameter(name: 'walk', description: 'A walk of this planter; by default the open one, or else the newest of this season', in: 'query', schema: new OA\Schema(type: 'string', format: 'uuid'))]
    #[OA\Response(response: 200, description: 'The planter by that walk', content: new OA\JsonContent(ref: '#/components/schemas/Board'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function __invoke(Request $request, Planter $planter, BoardQuery $board): BoardResource
    {
        $planter->load(['specSheet', 'workshop']);
        $asked = $request->query('walk');
        if ($asked === null) {
            return new BoardResource($board->ofPlanter($planter));
        }
        abort_unless(is_string($asked) && Str::isUuid($asked), 404);

        return new BoardResource($board->ofWalk($planter->walks()->findOrFail($asked), $planter));
    }
}
