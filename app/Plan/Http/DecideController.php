<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Http\KeptAnswer;
use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Plan\DecideQuery;
use App\Plan\DecideVersion;
use App\Plan\DecisionEvents;
use App\Record\Http\ReceiptView;
use App\Record\Outcome;
use App\Walk\TakeIntoWalk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;

#[OA\Schema(schema: 'DecisionEntry', required: ['id', 'row', 'check', 'side', 'action', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', description: '0 for the planter as a whole', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'action', type: 'string', enum: Action::class),
    new OA\Property(property: 'reason', description: 'Where it is another than is proposed; or in own words', type: 'string', enum: OverrideReason::class, nullable: true),
    new OA\Property(property: 'words', type: 'string', maxLength: 300),
    new OA\Property(property: 'look_when', description: 'When what is carried over comes back; by default as proposed', type: 'string', enum: LookWhen::class, nullable: true),
    new OA\Property(property: 'look_acres', description: 'Of the season, 1 to 100,000', type: 'number', nullable: true),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The decision whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the decision that is superseded', type: 'boolean'),
])]
final class DecideController extends Controller
{
    private const MOST = 1000;

    #[OA\Get(path: '/api/planters/{planter}/decide', operationId: 'decide', tags: ['decide'])]
    #[OA\Response(response: 304, description: 'As it was under the ETag in If-None-Match')]
    #[OA\Response(response: 200, description: 'What there is to decide, with what is proposed and what was decided', content: new OA\JsonContent(ref: '#/components/schemas/Decide'))]
    public function show(Request $request, Planter $planter, DecideQuery $decide): Response
    {
        $planter->load(['specSheet', 'workshop']);

        return KeptAnswer::of($request, "decide:{$planter->id}", DecideVersion::of($planter), static fn (): DecideView => DecideView::of($decide->of($planter)));
    }

    #[OA\Post(path: '/api/walks/{walk}/decisions', operationId: 'decideFindings', description: 'Each is taken or refused on its own; sending it again is harmless', tags: ['decide'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['decisions'], properties: [
        new OA\Property(property: 'decisions', description: '1 to 1,000', type: 'array', items: new OA\Items(ref: '#/components/schemas/DecisionEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'What became of each', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Walk $walk, TakeIntoWalk $take, DecideQuery $decide): JsonResponse
    {
        $items = JsonBody::list($request, 'decisions', self::MOST, 'decide.list');
        $receipts = $take($walk, $this->user($request), static fn (Walk $walk): DecisionEvents => new DecisionEvents($walk, $decide), $items);

        return new JsonResponse(['receipts' => ReceiptView::all($receipts)], count($receipts) === 1 && $receipts[0]->outcome === Outcome::Conflict ? 409 : 200);
    }
}
