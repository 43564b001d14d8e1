<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Walk\FinishWalk;
use App\Actions\Walk\ReopenWalk;
use App\Actions\Walk\StartWalk;
use App\Http\Resources\WalkGuideResource;
use App\Http\Resources\WalkResource;
use App\Models\Planter;
use App\Models\Walk;
use App\Queries\BoardQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

final class WalkController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/walks', operationId: 'walks', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'All walks of the planter, newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Walk')))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function index(Planter $planter): AnonymousResourceCollection
    {
        return WalkResource::collection($planter->walks()->latest('started_at')->get());
    }

    #[OA\Post(path: '/api/planters/{planter}/walks', operationId: 'startWalk', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['kind', 'order'], properties: [
        new OA\Property(property: 'kind', ref: '#/components/schemas/WalkKind'),
        new OA\Property(property: 'order', ref: '#/components/schemas/WalkOrder'),
    ]))]
    #[OA\Response(response: 201, description: 'Opened', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function store(Request $request, Planter $planter, StartWalk $start): JsonResponse
    {
        $request->validate(['kind' => ['required', Rule::enum(WalkKind::class)], 'order' => ['required', Rule::enum(WalkOrder::class)]]);
        $walk = $start(
            $planter->load('specSheet'),
            $this->user($request),
            WalkKind::from($request->string('kind')->toString()),
            WalkOrder::from($request->string('order')->toString()),
        );

        return (new WalkResource($walk->refresh()))->response()->setStatusCode(201);
    }

    #[OA\Get(path: '/api/walks/{walk}', operationId: 'walk', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/walk')]
    #[OA\Response(response: 200, description: 'The walk with all that it takes to judge on the device', content: new OA\JsonContent(ref: '#/components/schemas/WalkGuide'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function show(Walk $walk, BoardQuery $board): WalkGuideResource
    {
        return new WalkGuideResource($board->ofWalk($walk, $walk->planter->load('specSheet')));
    }

    #[OA\Patch(path: '/api/walks/{walk}', operationId: 'reorderWalk', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/walk')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['order'], properties: [
        new OA\Property(property: 'order', ref: '#/components/schemas/WalkOrder'),
    ]))]
    #[OA\Response(response: 200, description: 'Order kept', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function update(Request $request, Walk $walk): WalkResource
    {
        $request->validate(['order' => ['required', Rule::enum(WalkOrder::class)]]);
        $walk->update(['walk_order' => $request->string('order')->toString()]);

        return new WalkResource($walk);
    }

    #[OA\Post(path: '/api/walks/{walk}/finish', operationId: 'finishWalk', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/walk')]
    #[OA\RequestBody(content: new OA\JsonContent(properties: [
        new OA\Property(property: 'with_unchecked', description: 'Finish although something is unchecked', type: 'boolean'),
    ]))]
    #[OA\Response(response: 200, description: 'Finished', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function finish(Request $request, Walk $walk, FinishWalk $finish): WalkResource
    {
        return new WalkResource($finish($walk, $this->user($request), $request->boolean('with_unchecked')));
    }

    #[OA\Post(path: '/api/walks/{walk}/reopen', operationId: 'reopenWalk', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/walk')]
    #[OA\Response(response: 200, description: 'Open again', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function reopen(Walk $walk, ReopenWalk $reopen): WalkResource
    {
        return new WalkResource($reopen($walk));
    }
}
