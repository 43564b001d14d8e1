<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Walk\Walk;
use App\Walk\Board\LastReadings;
use App\Walk\Board\NewsQuery;
use App\Walk\ReadingEvents;
use App\Walk\TakeIntoWalk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

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
        $resource = new BatchResource($receipts, $news->of($walk->refresh()->load(['planter.specSheet', 'planter.workshop']), $this->since($request)));

        return $resource->response()->setStatusCode($resource->isLoneConflict() ? 409 : 200);
    }
}
