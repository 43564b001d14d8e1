<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Walk\Walk;
use App\Record\Http\ReceiptView;
use App\Record\Outcome;
use App\Walk\Board\LastReadings;
use App\Walk\Board\NewsQuery;
use App\Walk\ReadingEvents;
use App\Walk\TakeIntoWalk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Reading', required: ['id', 'row', 'check', 'side', 'taken_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', description: '0 for a check of the whole planter', type: 'integer', maximum: 64, minimum: 0),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'result', description: 'recorded by default', ref: '#/components/schemas/Result'),
    new OA\Property(property: 'entry', description: 'typed by default; rest_here, rest_of_row and rest_of_station go with looked_sound', ref: '#/components/schemas/Entry'),
    new OA\Property(property: 'typed', description: 'A figure as typed, where the check takes one', type: 'string'),
    new OA\Property(property: 'units', description: 'The system of a bare number', type: 'string', default: 'in', enum: ['in', 'mm']),
    new OA\Property(property: 'state', description: 'Where the check takes no figure', ref: '#/components/schemas/State'),
    new OA\Property(property: 'chips', description: 'Reasons ticked, of those that the check has', type: 'array', items: new OA\Items(ref: '#/components/schemas/Chip')),
    new OA\Property(property: 'confirmed', description: 'Keep it although it is hard to believe', type: 'boolean'),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
])]
final class ReadingController extends Controller
{
    private const MOST = 500;

    #[OA\Post(path: '/api/walks/{walk}/readings', operationId: 'storeReadings', description: 'Each reading is stored, known, doubtful, refused or in conflict on its own; the answer says which. Sending a batch again is harmless. A batch of one that is in conflict answers 409.', tags: ['walk'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['readings'], properties: [
        new OA\Property(property: 'since', description: 'The as_of that the device heard last; the news goes back to it', type: 'string', format: 'date-time'),
        new OA\Property(property: 'readings', type: 'array', maxItems: 500, minItems: 1, items: new OA\Items(ref: '#/components/schemas/Reading')),
    ]))]
    #[OA\Response(response: 200, description: 'What became of each', content: new OA\JsonContent(ref: '#/components/schemas/Batch'))]
    #[OA\Response(response: 409, description: 'The one reading sent is in conflict', content: new OA\JsonContent(ref: '#/components/schemas/Batch'))]
    public function store(Request $request, Walk $walk, TakeIntoWalk $take, NewsQuery $news, LastReadings $lastReadings): JsonResponse
    {
        $readings = JsonBody::list($request, 'readings', self::MOST, 'error.no_readings');
        $receipts = $take($walk, $this->user($request), static fn (Walk $walk): ReadingEvents => new ReadingEvents($walk, $lastReadings), $readings);
        $isLoneConflict = count($receipts) === 1 && $receipts[0]->outcome === Outcome::Conflict;

        return new JsonResponse(new BatchView(ReceiptView::all($receipts), WalkNewsView::of($news->of($walk->refresh()->load(['planter.specSheet', 'planter.workshop']), $this->since($request)))), $isLoneConflict ? 409 : 200);
    }
}
