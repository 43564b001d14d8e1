<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Controller;
use App\Http\KeptAnswer;
use App\Models\Planter;
use App\Walk\Board\BoardQuery;
use App\Walk\Board\FaceQuery;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class BoardController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/board', operationId: 'board', tags: ['board'])]
    #[OA\Parameter(name: 'walk', description: 'A walk of this planter; by default the open one, or else the newest of this season', in: 'query', schema: new OA\Schema(type: 'string', format: 'uuid'))]
    #[OA\Response(response: 304, description: 'As it was under the ETag in If-None-Match')]
    #[OA\Response(response: 200, description: 'The planter by that walk', content: new OA\JsonContent(ref: '#/components/schemas/Board'))]
    public function show(Request $request, Planter $planter, BoardQuery $board): Response
    {
        $planter->load(['specSheet', 'workshop']);
        $asked = $request->query('walk');
        abort_unless($asked === null || (is_string($asked) && Str::isUuid($asked)), 404);
        $walk = $asked === null ? $planter->walkThatMatters() : $planter->walks()->findOrFail($asked);

        return KeptAnswer::of($request, "board:{$planter->id}:{$walk?->id}", [
            $planter->getAttributes(), $planter->specSheet->getAttributes(), $planter->workshop->getAttributes(), $walk?->getAttributes(), $planter->season(),
        ], static fn (): BoardView => BoardView::of(
            $walk === null ? $board->unwalked($planter) : $board->glanceAt($walk, $planter),
        ));
    }

    #[OA\Get(path: '/api/planters/{planter}/face', operationId: 'face', description: 'What every screen of a planter shows', tags: ['board'])]
    #[OA\Response(response: 200, description: 'The planter and its rows by the walk that matters now', content: new OA\JsonContent(ref: '#/components/schemas/Face'))]
    public function face(Planter $planter, FaceQuery $face): FaceView
    {
        return FaceView::of($face->of($planter->load(['specSheet', 'workshop'])));
    }
}
