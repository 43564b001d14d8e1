<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Planter;
use App\Models\User;
use App\Record\Fields;
use App\Record\Refused;
use App\Work\InSeasonQuery;
use App\Work\InTime;
use App\Work\KeepPlan;
use App\Work\RainQuery;
use App\Work\ReadySheet;
use App\Work\WorkQuery;
use App\Work\WorkSheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class WorkController extends Controller
{
    private const MOST_SET = 200;

    #[OA\Get(path: '/api/planters/{planter}/work', operationId: 'workPlan', description: 'Who does what when of all that was decided and is not done', tags: ['work'])]
    #[OA\Parameter(name: 'together', description: '1: all planters of the workshop, with the same people', in: 'query', schema: new OA\Schema(type: 'string', enum: ['0', '1']))]
    #[OA\Parameter(name: 'more_people', description: 'As if there were so many more, 0 to 8', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^[0-8]$'))]
    #[OA\Parameter(name: 'sooner', description: 'As if planting started so many days earlier, 0 to 99', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^\d{1,2}$'))]
    #[OA\Parameter(name: 'late_part', description: 'As if this part type came later', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^\d{1,15}$'))]
    #[OA\Parameter(name: 'late_by', description: 'By so many days, 0 to 99', in: 'query', schema: new OA\Schema(type: 'string', pattern: '^\d{1,2}$'))]
    #[OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: '#/components/schemas/WorkPlan'))]
    public function show(WorkRequest $request, Planter $planter, WorkQuery $work, InTime $inTime): JsonResponse
    {
        $workshop = $planter->load(['specSheet', 'workshop'])->workshop;
        $planters = $request->isTogether() ? WorkQuery::planters($workshop) : [$planter];
        $kept = KeepPlan::of($workshop, $request->isTogether() ? null : $planter);

        $plan = $work->of($workshop, $planters, $request->whatIf(), $kept);

        return new JsonResponse(WorkPlanView::of($plan, $request->whatIf()->isNothing() ? $inTime->of($workshop, $planters, $plan) : []));
    }

    #[OA\Put(path: '/api/planters/{planter}/work/plan', operationId: 'keepWorkPlan', description: 'Keeps the plan as it is shown, with what is set by hand; it goes on as it is until something breaks it', tags: ['work'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['seen'], properties: [
        new OA\Property(property: 'together', description: 'Of all planters of the workshop', type: 'boolean'),
        new OA\Property(property: 'seen', description: 'The revision that was looked at; 0 where none is kept', type: 'integer', minimum: 0),
        new OA\Property(property: 'remake', description: 'Plan anew what is not set by hand', type: 'boolean'),
        new OA\Property(property: 'set', type: 'array', maxItems: self::MOST_SET, items: new OA\Items(required: ['piece', 'person', 'starts'], properties: [
            new OA\Property(property: 'piece', description: 'Its key', type: 'string', maxLength: 120),
            new OA\Property(property: 'person', description: 'Name', type: 'string', maxLength: 80),
            new OA\Property(property: 'starts', description: 'As the shop’s clock has it', type: 'string', example: '2026-12-01T08:00'),
        ], type: 'object')),
        new OA\Property(property: 'let_go', description: 'Keys of pieces that are planned like the rest again', type: 'array', maxItems: self::MOST_SET, items: new OA\Items(type: 'string', maxLength: 120)),
    ]))]
    #[OA\Response(response: 200, description: 'The plan that is kept', content: new OA\JsonContent(ref: '#/components/schemas/WorkPlan'))]
    public function keep(Request $request, Planter $planter, KeepPlan $keep): JsonResponse
    {
        try {
            $fields = Fields::of(JsonBody::of($request), 'plan.asked');
            $seen = $fields->whole('seen', 0, PHP_INT_MAX, 'plan.asked') ?? throw Refused::because('seen', 'plan.asked');
            $together = $fields->flag('together', 'plan.asked');
            $set = array_map(self::set(...), $fields->list('set', 'plan.asked'));
            $letGo = array_map(static fn (mixed $key): string => is_string($key) ? $key : throw Refused::because('let_go', 'plan.asked'), $fields->list('let_go', 'plan.asked'));
            if (count($set) > self::MOST_SET || count($letGo) > self::MOST_SET) {
                throw Refused::because('set', 'plan.asked');
            }
            $plan = $keep($this->user($request), $together ? null : $planter->load('specSheet'), $seen, $fields->flag('remake', 'plan.asked'), $set, $letGo);
        } catch (Refused $refused) {
            throw ValidationException::withMessages([$refused->field === '' ? 'seen' : $refused->field => $refused->getMessage()]);
        }

        return new JsonResponse(WorkPlanView::of($plan));
    }

    /** @return array{piece: string, person: string, starts: string} */
    private static function set(mixed $one): array
    {
        $fields = Fields::of($one, 'plan.asked');

        return ['piece' => $fields->text('piece', 120, 'plan.asked'), 'person' => $fields->text('person', 80, 'plan.asked'), 'starts' => $fields->text('starts', 20, 'plan.starts')];
    }

    #[OA\Get(path: '/api/planters/{planter}/work/plan.csv', operationId: 'exportWork', description: 'Columns: docs/formats.md', tags: ['work'])]
    #[OA\Response(response: 200, description: 'The plan, a piece a line', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))]
    public function csv(Request $request, Planter $planter, WorkQuery $work): Response
    {
        return self::file($this->sheet($planter, $work, $this->user($request))->csv(), $planter, 'plan.csv', 'text/csv; charset=UTF-8');
    }

    #[OA\Get(path: '/api/planters/{planter}/work/plan.ics', operationId: 'exportWorkCalendar', tags: ['work'])]
    #[OA\Response(response: 200, description: 'The plan, an event a piece', content: new OA\MediaType(mediaType: 'text/calendar', schema: new OA\Schema(type: 'string')))]
    public function calendar(Request $request, Planter $planter, WorkQuery $work): Response
    {
        return self::file($this->sheet($planter, $work, $this->user($request))->calendar(), $planter, 'plan.ics', 'text/calendar; charset=UTF-8');
    }

    #[OA\Get(path: '/api/planters/{planter}/work/cards.pdf', operationId: 'printWork', tags: ['work'])]
    #[OA\Response(response: 200, description: 'What to pick, and a card for each piece', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function cards(Request $request, Planter $planter, WorkQuery $work): Response
    {
        return self::file($this->sheet($planter, $work, $this->user($request))->cards(), $planter, 'cards.pdf', 'application/pdf');
    }

    #[OA\Get(path: '/api/planters/{planter}/work/ready.pdf', operationId: 'printReady', tags: ['work'])]
    #[OA\Response(response: 200, description: 'What is open before planting, to sign', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function ready(Request $request, Planter $planter, ReadySheet $sheet): Response
    {
        return self::file($sheet->pdf($planter->load(['specSheet', 'workshop']), $this->user($request)->units), $planter, 'ready.pdf', 'application/pdf');
    }

    private function sheet(Planter $planter, WorkQuery $work, User $by): WorkSheet
    {
        $workshop = $planter->load(['specSheet', 'workshop'])->workshop;

        return new WorkSheet($work->of($workshop, [$planter], kept: KeepPlan::of($workshop, $planter)), $workshop, $by->units);
    }

    #[OA\Get(path: '/api/planters/{planter}/work/rain', operationId: 'rainList', description: 'What to do in the hours that it rains', tags: ['work'])]
    #[OA\Parameter(name: 'minutes', description: 'That it rains, 15 to 720', in: 'query', required: true, schema: new OA\Schema(type: 'string', pattern: '^\d{2,3}$'))]
    #[OA\Parameter(name: 'people', description: '1 to 8', in: 'query', required: true, schema: new OA\Schema(type: 'string', pattern: '^[1-8]$'))]
    #[OA\Response(response: 200, description: 'What removes most risk', content: new OA\JsonContent(ref: '#/components/schemas/RainDay'))]
    public function rain(Request $request, Planter $planter, RainQuery $rain): JsonResponse
    {
        $asked = $request->validate(['minutes' => ['required', 'string', 'regex:/^\d{2,3}$/D', 'integer', 'between:15,720'], 'people' => ['required', 'string', 'regex:/^[1-8]$/D']], ['*' => __('work.rain_asked')]);

        return new JsonResponse(RainDayView::of($rain->of($planter->load(['specSheet', 'workshop']), (int) $asked['minutes'], (int) $asked['people'])));
    }

    #[OA\Get(path: '/api/planters/{planter}/work/season', operationId: 'workInSeason', description: 'Which spares to carry into the season, and at which acres to stop', tags: ['work'])]
    #[OA\Response(response: 200, description: 'By the forecasts', content: new OA\JsonContent(ref: '#/components/schemas/WorkInSeason'))]
    public function season(Planter $planter, InSeasonQuery $season): JsonResponse
    {
        return new JsonResponse(WorkInSeasonView::of($season->of($planter->load(['specSheet', 'workshop']))));
    }
}
