<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Planter;
use App\Parts\BrokenFitRule;
use App\Parts\LedgerQuery;
use App\Parts\RecordEvents;
use App\Record\Http\ReceiptsView;
use App\Record\NotTaken;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Throwable;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\Slot;

#[OA\Schema(schema: 'LedgerEntry', description: 'Something that was done to the parts of one row', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: LedgerEventKind::class),
    new OA\Property(property: 'happened_at', description: 'Not in the future', type: 'string', format: 'date-time'),
    new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 1),
    new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'part_type_id', description: 'Of a fitted part; left out where nobody knows', type: 'integer', nullable: true),
    new OA\Property(property: 'part_id', description: 'A part that was fitted on this planter before: its use and wear come along', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'used', description: 'Fitted used, from elsewhere', type: 'boolean'),
    new OA\Property(property: 'size', description: 'As measured when fitted; by default a new part\'s own', type: 'string', maxLength: 40, nullable: true),
    new OA\Property(property: 'ran_before', description: 'Furrow distance that a used part had run, as typed', type: 'string', maxLength: 40, nullable: true),
    new OA\Property(property: 'fitting_id', description: 'What is removed', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'reason', description: 'Why the part came out: the one that is removed, or the one that was in the slot', ref: '#/components/schemas/RemovalReason'),
    new OA\Property(property: 'shims', description: 'Inner shims in the pack that was in', type: 'integer', maximum: 20, minimum: 0, nullable: true),
    new OA\Property(property: 'pairs', description: 'Shims added on each side; negative for taken out', type: 'integer', maximum: 10, minimum: -10, nullable: true),
    new OA\Property(property: 'contact_before', description: 'Contact length before shims were moved, as typed', type: 'string', maxLength: 40, nullable: true),
    new OA\Property(property: 'cost', type: 'number', maximum: 100000, minimum: 0, nullable: true),
    new OA\Property(property: 'note', type: 'string', maxLength: 1000),
    new OA\Property(property: 'supersedes', description: 'The event whose place this one takes', type: 'string', format: 'uuid', nullable: true),
])]
final class LedgerController extends Controller
{
    private const MOST = 1000;

    #[OA\Get(path: '/api/planters/{planter}/ledger', operationId: 'ledger', tags: ['ledger'])]
    #[OA\Response(response: 200, description: 'What is fitted where', content: new OA\JsonContent(ref: '#/components/schemas/Ledger'))]
    public function show(Planter $planter): JsonResponse
    {
        $sheet = $planter->load('specSheet')->fittedSheet();
        $slots = [];
        foreach (Slot::cases() as $slot) {
            $check = $sheet->check($slot->checks()[0]);
            if ($check !== null) {
                foreach ($sheet->variantsOf($check->key->value) as $of) {
                    $slots[] = ['slot' => $slot, 'station' => $slot->station(), 'sides' => $of->sides, 'rows' => $of->rows, 'check' => $of->key, 'measured' => $of->wear() !== null];
                }
            }
        }

        return new JsonResponse(new LedgerView($slots, array_map(FittingView::of(...), LedgerQuery::fitted($planter)), array_map(FittingView::of(...), LedgerQuery::shelf($planter))));
    }

    #[OA\Post(path: '/api/planters/{planter}/ledger', operationId: 'recordEvents', description: 'All of it is written, or nothing. Sending it again is harmless', tags: ['ledger'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['events'], properties: [
        new OA\Property(property: 'events', type: 'array', maxItems: self::MOST, minItems: 1, items: new OA\Items(ref: '#/components/schemas/LedgerEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, RecordEvents $record): JsonResponse
    {
        $events = JsonBody::list($request, 'events', self::MOST, 'ledger.events');
        try {
            return ReceiptsView::answer($record($planter, $this->user($request), $events));
        } catch (NotTaken|BrokenFitRule|ImpossibleLedger $refused) {
            throw self::refusal($refused, 'events', $events);
        }
    }

    /**
     * Why a ledger cannot be so, at the event that it is about.
     *
     * @param  string  $items  what the list of events is called in the request
     * @param  list<mixed>  $events  as they were sent
     */
    public static function refusal(NotTaken|BrokenFitRule|ImpossibleLedger $refused, string $items, array $events): Throwable
    {
        if ($refused instanceof NotTaken) {
            return ReceiptsView::refusal($refused, $items);
        }
        if ($refused instanceof BrokenFitRule) {
            return ValidationException::withMessages([$items => $refused->getMessage()]);
        }
        $index = array_search($refused->event, array_map(static fn (mixed $event): ?string => is_array($event) && is_string($event['id'] ?? null) ? strtolower($event['id']) : null, $events), true);

        return ValidationException::withMessages([$index === false ? $items : "{$items}.{$index}.happened_at" => RecordEvents::worded($refused)]);
    }
}
