<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\Watch\Listen;
use App\Field\Watch\PracticeMonitor;
use App\Field\Watch\SharedRows;
use App\Field\Watch\StartWatch;
use App\Field\Watch\WatchEntries;
use App\Field\Watch\WatchQuery;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Http\LiveStream;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use App\Record\Fields;
use App\Record\Http\ReceiptsView;
use App\Record\Refused;
use App\Record\TakeWhole;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\WatchEntryKind;

#[OA\Schema(schema: 'WatchSetUp', required: ['id'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'acres', description: 'Of this planter to a false alarm', type: 'integer', maximum: 100000, minimum: 50),
    new OA\Property(property: 'practice', description: 'A made-up field tells of it', type: 'boolean'),
    new OA\Property(property: 'fault', description: 'That comes on the made-up field', type: 'string', enum: PracticeFault::class),
])]
#[OA\Schema(schema: 'WatchEntry', description: 'What somebody says while rows are watched', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: WatchEntryKind::class),
    new OA\Property(property: 'row', description: 'That is shut off on purpose, or plants again', type: 'integer', minimum: 1),
    new OA\Property(property: 'alarm', description: 'That was seen, or whose rows are left as they are', type: 'integer'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
/** Rows watched while they plant. */
final class WatchController extends Controller
{
    private const MOST_ENTRIES = 100;

    public function __construct(private readonly WatchQuery $query, private readonly Listen $listen)
    {
    }

    #[OA\Get(path: '/api/planters/{planter}/watch', operationId: 'watch', tags: ['field'])]
    #[OA\Response(response: 200, description: 'What rows share, and how they were watched before', content: new OA\JsonContent(ref: '#/components/schemas/Watch'))]
    public function show(Request $request, Planter $planter): JsonResponse
    {
        return new JsonResponse($this->views($request, $planter)->watch($this->query->before($planter)));
    }

    #[OA\Get(path: '/api/planters/{planter}/watch/now', operationId: 'watchNow', tags: ['field'])]
    #[OA\Response(response: 200, description: 'The run that is under way, or was last', content: new OA\JsonContent(required: ['run'], properties: [new OA\Property(property: 'run', ref: '#/components/schemas/WatchRun', nullable: true)]))]
    public function now(Request $request, Planter $planter): JsonResponse
    {
        $run = $this->query->newest($planter);

        return $run === null ? new JsonResponse(['run' => null]) : $this->told($request, $planter, $run);
    }

    #[OA\Get(path: '/api/planters/{planter}/watch/now/stream', operationId: 'watchLive', description: 'Server-sent events, each as watchNow answers; they end after half a minute, and the browser asks again', tags: ['field'])]
    #[OA\Response(response: 200, description: 'A stream', content: new OA\MediaType(mediaType: 'text/event-stream'))]
    #[OA\Response(response: 429, description: 'As many watch as the server has hands for: ask each second instead')]
    public function live(Request $request, Planter $planter): StreamedResponse|JsonResponse
    {
        $views = $this->views($request, $planter);

        return LiveStream::of(
            fn (): array => ['run' => ($run = $this->query->newest($planter)) === null ? null : $views->run($run, $this->query->alarms($run), $this->query->passes($run))],
            fn (): bool => $this->query->newest($planter)?->isUnderWay() ?? false,
        );
    }

    #[OA\Post(path: '/api/planters/{planter}/watch', operationId: 'startWatch', description: 'Sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/WatchSetUp'))]
    #[OA\Response(response: 200, description: 'It waits for the row monitor', content: new OA\JsonContent(required: ['run'], properties: [new OA\Property(property: 'run', ref: '#/components/schemas/WatchRun')]))]
    public function store(Request $request, Planter $planter, StartWatch $start): JsonResponse
    {
        return $this->answered($request, $planter, fn (): WatchRun => $start($this->user($request), $planter, Fields::of(JsonBody::of($request), 'watch.item')));
    }

    #[OA\Post(path: '/api/planters/{planter}/watch/{watchRun}/practice', operationId: 'practiceWatch', description: 'Lets the made-up field tell what has happened by now', tags: ['field'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 200, description: 'The run', content: new OA\JsonContent(required: ['run'], properties: [new OA\Property(property: 'run', ref: '#/components/schemas/WatchRun')]))]
    public function practice(Request $request, Planter $planter, WatchRun $watchRun): JsonResponse
    {
        return $this->answered($request, $planter, function () use ($watchRun): WatchRun {
            if ($watchRun->practice !== null && $watchRun->isUnderWay()) {
                ($this->listen)($watchRun, PracticeMonitor::lines($watchRun));
            }

            return $watchRun->refresh();
        });
    }

    #[OA\Post(path: '/api/planters/{planter}/watch/{watchRun}/end', operationId: 'endWatch', description: 'Sending it again is harmless', tags: ['field'])]
    #[OA\Response(response: 200, description: 'The run', content: new OA\JsonContent(required: ['run'], properties: [new OA\Property(property: 'run', ref: '#/components/schemas/WatchRun')]))]
    public function end(Request $request, Planter $planter, WatchRun $watchRun): JsonResponse
    {
        return $this->told($request, $planter, $this->listen->end($watchRun));
    }

    #[OA\Post(path: '/api/planters/{planter}/watch/{watchRun}/entries', operationId: 'recordWatch', description: 'All of them, or nothing: alarms that were seen or left as they are, rows that are shut off on purpose or plant again. Sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['entries'], properties: [
        new OA\Property(property: 'entries', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/WatchEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function record(Request $request, Planter $planter, WatchRun $watchRun, TakeWhole $take): JsonResponse
    {
        $entries = JsonBody::list($request, 'entries', self::MOST_ENTRIES, 'watch.entries');

        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), fn (Planter $of): WatchEntries => new WatchEntries($watchRun, $of->row_count, $this->listen), $entries), 'entries');
    }

    #[OA\Put(path: '/api/planters/{planter}/shared-rows', operationId: 'editSharedRows', tags: ['planter'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['groups', 'before'], properties: [
        new OA\Property(property: 'groups', type: 'array', items: new OA\Items(ref: '#/components/schemas/SharedRows')),
        new OA\Property(property: 'before', description: 'As they were seen: refused where somebody changed them meanwhile', type: 'array', items: new OA\Items(ref: '#/components/schemas/SharedRows')),
    ]))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Watch'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function share(Request $request, Planter $planter, SharedRows $shared): JsonResponse
    {
        try {
            $fields = Fields::of(JsonBody::of($request), 'watch.item');
            [$groups, $before] = [$fields->list('groups', 'watch.group'), $fields->list('before', 'watch.group')];
        } catch (Refused $refused) {
            throw ValidationException::withMessages([$refused->field => $refused->getMessage()]);
        }

        return $this->show($request, $shared->save($planter, $groups, $before));
    }

    /** @param  callable(): WatchRun  $of */
    private function answered(Request $request, Planter $planter, callable $of): JsonResponse
    {
        try {
            return $this->told($request, $planter, $of());
        } catch (Refused $refused) {
            throw ValidationException::withMessages([$refused->field => $refused->getMessage()]);
        }
    }

    private function told(Request $request, Planter $planter, WatchRun $run): JsonResponse
    {
        return new JsonResponse(['run' => $this->views($request, $planter)->run($run, $this->query->alarms($run), $this->query->passes($run))]);
    }

    private function views(Request $request, Planter $planter): WatchViews
    {
        return new WatchViews($planter, new FigureWords($this->user($request)->units));
    }
}
