<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Work\InSeasonQuery;
use App\Work\RainQuery;
use App\Work\WorkQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class WorkController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/work', operationId: 'workPlan', description: 'Who does what when of all that was decided and is not done', tags: ['work'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Parameter(name: 'together', description: '1: all planters of the workshop, with the same people', in: 'query', schema: new OA\Schema(type: 'string', enum: ['0', '1']))]
    #[OA\Parameter(name: 'more_people', description: 'As if there were so many more, 0 to 8', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^[0-8]$'))]
    #[OA\Parameter(name: 'sooner', description: 'As if planting started so many days earlier, 0 to 99', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^\d{1,2}$'))]
    #[OA\Parameter(name: 'late_part', description: 'As if this part type came later', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^\d{1,15}$'))]
    #[OA\Parameter(name: 'late_by', description: 'By so many days, 0 to 99', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^\d{1,2}$'))]
    #[OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: '#/components/schemas/WorkPlan'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function show(WorkRequest $request, Planter $planter, WorkQuery $work): JsonResponse
    {
        $workshop = $planter->load(['specSheet', 'workshop'])->workshop;
        $planters = $request->isTogether()
            ? $workshop->planters()->with('specSheet')->get()->each(static fn (Planter $of): Planter => $of->setRelation('workshop', $workshop))->all()
            : [$planter];

        return new JsonResponse(WorkShape::plan($work->of($workshop, array_values($planters), $request->whatIf())));
    }

    #[OA\Get(path: '/api/planters/{planter}/work/rain', operationId: 'rainList', description: 'What to do in the hours that it rains', tags: ['work'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Parameter(name: 'minutes', description: 'That it rains, 15 to 720', in: 'query', required: true, schema: new OA\Schema(type: 'string', pattern: '^\d{2,3}$'))]
    #[OA\Parameter(name: 'people', description: '1 to 8', in: 'query', required: true, schema: new OA\Schema(type: 'string', pattern: '^[1-8]$'))]
    #[OA\Response(response: 200, description: 'What removes most risk', content: new OA\JsonContent(ref: '#/components/schemas/RainDay'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function rain(Request $request, Planter $planter, RainQuery $rain): JsonResponse
    {
        $asked = $request->validate(['minutes' => ['required', 'string', 'regex:/^\d{2,3}$/D', 'integer', 'between:15,720'], 'people' => ['required', 'string', 'regex:/^[1-8]$/D']], ['*' => __('work.rain_asked')]);

        return new JsonResponse(WorkShape::rain($rain->of($planter->load(['specSheet', 'workshop']), (int) $asked['minutes'], (int) $asked['people'])));
    }

    #[OA\Get(path: '/api/planters/{planter}/work/season', operationId: 'workInSeason', description: 'Which spares to carry into the season, and at which acres to stop', tags: ['work'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'By the forecasts', content: new OA\JsonContent(ref: '#/components/schemas/WorkInSeason'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function season(Planter $planter, InSeasonQuery $season): JsonResponse
    {
        return new JsonResponse(WorkShape::season($season->of($planter->load(['specSheet', 'workshop']))));
    }
}
