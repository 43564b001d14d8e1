<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Field\SettingLines;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Http\KeptAnswer;
use App\Models\Planter;
use App\Models\Work\OwnJob;
use App\Models\Work\WorkEvent;
use App\Parts\BrokenFitRule;
use App\Parts\Http\LedgerController;
use App\Record\Http\ReceiptsView;
use App\Record\NotTaken;
use App\Record\TakeWhole;
use App\Work\OwnJobs;
use App\Work\RecordWork;
use App\Work\ShopLubrication;
use App\Work\Ticks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Work\CouldNotReason;
use Ustrel\Core\Work\Target;
use Ustrel\Core\Work\WorkEventKind;

#[OA\Schema(schema: 'WorkEntry', description: 'What hands say of the work', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: WorkEventKind::class),
    new OA\Property(property: 'targets', description: 'What it is about, by its key on one card: one line where it is ticked, jobs else. A correction is of the same', type: 'array', items: new OA\Items(type: 'string', maxLength: 80), maxItems: 200),
    new OA\Property(property: 'minutes', description: 'That it took, all in all', type: 'integer', maximum: 6000, minimum: 1, nullable: true),
    new OA\Property(property: 'seized_minutes', description: 'Of them, that a seized joint took', type: 'integer', maximum: 600, minimum: 0, nullable: true),
    new OA\Property(property: 'lubricant', type: 'string', maxLength: 300),
    new OA\Property(property: 'reason', description: 'Why it could not be done; or in own words', type: 'string', enum: CouldNotReason::class, nullable: true),
    new OA\Property(property: 'words', type: 'string', maxLength: 300),
    new OA\Property(property: 'ledger', description: 'Ids of the entries of the ledger that are sent with it', type: 'array', items: new OA\Items(type: 'string', format: 'uuid')),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The event whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the event that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'OwnJob', description: 'Work that the shop adds to a planter', required: ['id', 'row', 'title', 'minutes', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', description: '0 for the planter as a whole', type: 'integer', maximum: 64, minimum: 0),
    new OA\Property(property: 'title', type: 'string', maxLength: 120, minLength: 1),
    new OA\Property(property: 'minutes', type: 'integer', maximum: 6000, minimum: 1),
    new OA\Property(property: 'blocks', description: 'Planting waits for it', type: 'boolean'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'Whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back what is superseded', type: 'boolean'),
])]
final class WorkLogController extends Controller
{
    private const MOST = 500;

    private const SHOWN = 100;

    #[OA\Get(path: '/api/planters/{planter}/work/hands', operationId: 'hands', description: 'What is ticked, done, or could not be done', tags: ['work'])]
    #[OA\Response(response: 200, description: 'The newest first', content: new OA\JsonContent(ref: '#/components/schemas/Hands'))]
    #[OA\Response(response: 304, description: 'As it was under the ETag in If-None-Match')]
    public function show(Request $request, Planter $planter): Response
    {
        $workshop = $planter->load('workshop')->workshop;
        $lubrication = ShopLubrication::of($workshop)->names();

        return KeptAnswer::of($request, "hands:{$planter->id}", [$planter->revision, $workshop->today()->iso, $lubrication], static fn (): HandsView => self::hands($planter, $lubrication));
    }

    /** @param  array<string, string>  $lubrication  names of what is lubricated, by point */
    private static function hands(Planter $planter, array $lubrication): HandsView
    {
        $done = WorkEvent::current($planter->id)->where('kind', '<>', WorkEventKind::Ticked)->with('user')->orderByDesc('recorded_at')->orderByDesc('id')->limit(self::SHOWN)->get();
        $titles = OwnJob::query()->where('planter_id', $planter->id)->pluck('title', 'id')->all() + $lubrication;

        return new HandsView(
            ticks: array_values(array_map(static fn (WorkEvent $tick): array => [
                'id' => $tick->id, 'target' => $tick->targets[0], 'by' => $tick->user->name, 'happened_at' => $tick->happened_at, 'recorded_at' => $tick->recorded_at,
            ], Ticks::of($planter)->ticks)),
            done: array_values($done->map(static fn (WorkEvent $of): array => [
                'id' => $of->id, 'kind' => $of->kind, 'row' => $of->row_number, 'targets' => $of->targets, 'title' => $titles[Target::tryFrom($of->targets[0] ?? '')->what ?? ''] ?? null, 'minutes' => $of->minutes, 'seized_minutes' => $of->seized_minutes,
                'lubricant' => $of->lubricant, 'reason' => $of->reason, 'words' => $of->words, 'ledger' => $of->ledger, 'by' => $of->user->name, 'happened_at' => $of->happened_at, 'recorded_at' => $of->recorded_at,
            ])->all()),
        );
    }

    #[OA\Post(path: '/api/planters/{planter}/work/own', operationId: 'addOwnJob', description: 'Work of the shop’s own; sending it again is harmless', tags: ['work'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/OwnJob'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function add(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): OwnJobs => new OwnJobs($of), [JsonBody::of($request)]));
    }

    #[OA\Post(path: '/api/planters/{planter}/work/hands', operationId: 'recordWork', description: 'All of it is written, or nothing: what was ticked, finished or could not be done, the parts and shims that went with it, and what was set. Sending it again is harmless', tags: ['work'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['events'], properties: [
        new OA\Property(property: 'events', type: 'array', maxItems: self::MOST, minItems: 1, items: new OA\Items(ref: '#/components/schemas/WorkEntry')),
        new OA\Property(property: 'ledger', type: 'array', maxItems: self::MOST, items: new OA\Items(ref: '#/components/schemas/LedgerEntry')),
        new OA\Property(property: 'settings', description: 'What was set by it', type: 'array', maxItems: self::MOST, items: new OA\Items(ref: '#/components/schemas/SettingEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written; receipts of the events, then of the ledger, then of the settings', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, RecordWork $record): JsonResponse
    {
        $events = JsonBody::list($request, 'events', self::MOST, 'hands.item');
        $ledger = in_array($request->json('ledger'), [null, []], true) ? [] : JsonBody::list($request, 'ledger', self::MOST, 'hands.ledger');
        $settings = in_array($request->json('settings'), [null, []], true) ? [] : SettingLines::spread(JsonBody::list($request, 'settings', self::MOST, 'settings.list'), $planter->row_count, $planter->workshop->number_style);
        try {
            return ReceiptsView::answer($record($planter, $this->user($request), $events, $ledger, $settings));
        } catch (NotTaken $notTaken) {
            throw ReceiptsView::refusal($notTaken, $notTaken->items === '' ? 'events' : $notTaken->items);
        } catch (BrokenFitRule|ImpossibleLedger $refused) {
            throw LedgerController::refusal($refused, 'ledger', $ledger);
        }
    }
}
