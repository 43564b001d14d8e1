<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Walk\Board\NewsQuery;
use App\Walk\ChangeWalk;
use App\Walk\FinishWalk;
use App\Walk\ReopenWalk;
use App\Walk\StartWalk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\WalkOrder;

final class WalkController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/walks', operationId: 'walks', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'All walks of the planter, newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Walk')))]
    public function index(Planter $planter): JsonResponse
    {
        return new JsonResponse($planter->walks()->latest('started_at')->get()->map(WalkView::of(...))->all());
    }

    #[OA\Post(path: '/api/planters/{planter}/walks', operationId: 'startWalk', tags: ['walk'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['kind', 'order', 'cautions_acknowledged'], properties: [
        new OA\Property(property: 'kind', ref: '#/components/schemas/WalkKind'),
        new OA\Property(property: 'order', ref: '#/components/schemas/WalkOrder'),
        new OA\Property(property: 'id', description: 'Made on the device, UUIDv7; starting it again with the same id is harmless', type: 'string', format: 'uuid'),
        new OA\Property(property: 'checks', description: 'Those that are walked; all by default', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey')),
        new OA\Property(property: 'pack', description: 'The name of the pack that the checks are of', type: 'string', maxLength: 60, nullable: true),
        new OA\Property(property: 'cautions_acknowledged', description: 'The lock-up cautions were read; without it no walk starts', type: 'boolean'),
        new OA\Property(property: 'started_at', description: 'Where it was started without a signal', type: 'string', format: 'date-time'),
    ]))]
    #[OA\Response(response: 200, description: 'Opened before with this id', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    #[OA\Response(response: 201, description: 'Opened', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    public function store(StartWalkRequest $request, Planter $planter, StartWalk $start): JsonResponse
    {
        $walk = $start($planter, $this->user($request), $request->start());

        return new JsonResponse(WalkView::of($walk), $walk->wasRecentlyCreated ? 201 : 200);
    }

    #[OA\Get(path: '/api/planters/{planter}/guide', operationId: 'guide', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'All that it takes to walk the planter and to judge on the device', content: new OA\JsonContent(ref: '#/components/schemas/WalkGuide'))]
    public function guide(Planter $planter, NewsQuery $news): WalkGuideView
    {
        return WalkGuideView::of($news->ofPlanter($planter->load(['specSheet', 'workshop'])));
    }

    #[OA\Get(path: '/api/walks/{walk}', operationId: 'walk', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'The walk with all that it takes to judge on the device', content: new OA\JsonContent(ref: '#/components/schemas/WalkGuide'))]
    public function show(Walk $walk, NewsQuery $news): WalkGuideView
    {
        return WalkGuideView::of($news->of($walk->load(['planter.specSheet', 'planter.workshop']), null));
    }

    #[OA\Get(path: '/api/walks/{walk}/news', operationId: 'news', tags: ['walk'])]
    #[OA\Parameter(name: 'since', description: 'The as_of heard last; without it every place', in: 'query', schema: new OA\Schema(type: 'string', format: 'date-time'))]
    #[OA\Parameter(name: 'If-None-Match', description: 'The revision heard last, in quotes: nothing is sent where nothing is new', in: 'header', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What has changed', content: new OA\JsonContent(ref: '#/components/schemas/WalkNews'))]
    #[OA\Response(response: 304, description: 'Nothing is new')]
    public function news(Request $request, Walk $walk, NewsQuery $news): WalkNewsView|Response
    {
        $revision = (string) $walk->planter->revision;
        if ($request->header('If-None-Match') === "\"{$revision}\"") {
            return new Response(status: 304);
        }

        return WalkNewsView::of($news->of($walk->load(['planter.specSheet', 'planter.workshop']), $this->since($request)));
    }

    #[OA\Patch(path: '/api/walks/{walk}', operationId: 'changeWalk', tags: ['walk'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'order', ref: '#/components/schemas/WalkOrder'),
        new OA\Property(property: 'checks', description: 'Those that are walked today; what was read at others stays', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey')),
    ]))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    public function update(Request $request, Walk $walk, ChangeWalk $change): WalkView
    {
        $request->validate(['order' => ['sometimes', Rule::enum(WalkOrder::class)], 'checks' => ['sometimes', 'list']]);

        return WalkView::of($change(
            $walk,
            WalkOrder::tryFrom($request->string('order')->toString()),
            $request->has('checks') ? $request->array('checks') : null,
        ));
    }

    #[OA\Post(path: '/api/walks/{walk}/finish', operationId: 'finishWalk', tags: ['walk'])]
    #[OA\RequestBody(content: new OA\JsonContent(properties: [
        new OA\Property(property: 'with_unchecked', description: 'Finish although something is unchecked', type: 'boolean'),
    ]))]
    #[OA\Response(response: 200, description: 'Finished', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    public function finish(Request $request, Walk $walk, FinishWalk $finish): WalkView
    {
        $request->validate(['with_unchecked' => ['sometimes', 'boolean:strict']], ['with_unchecked.*' => __('refused.unknown_flag')]);

        return WalkView::of($finish($walk, $this->user($request), $request->boolean('with_unchecked')));
    }

    #[OA\Post(path: '/api/walks/{walk}/reopen', operationId: 'reopenWalk', tags: ['walk'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 200, description: 'Open again', content: new OA\JsonContent(ref: '#/components/schemas/Walk'))]
    public function reopen(Walk $walk, ReopenWalk $reopen): WalkView
    {
        return WalkView::of($reopen($walk));
    }
}
