<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Http\KeptAnswer;
use App\Models\Planter;
use App\Plan\ChoosePolicy;
use App\Plan\DecideVersion;
use App\Plan\PolicyQuery;
use App\Record\Http\ReceiptsView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Ustrel\Core\Plan\Policy\Strategy;

#[OA\Schema(schema: 'PolicyChoice', required: ['id', 'school', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'school', type: 'string', enum: Strategy::class),
    new OA\Property(property: 'slot', description: 'For this kind of slot alone; by default for the planter', oneOf: [new OA\Schema(ref: '#/components/schemas/Slot'), new OA\Schema(type: 'null')]),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
final class PolicyController extends Controller
{
    private const SEASONS = [1, 3, 5];

    #[OA\Get(path: '/api/planters/{planter}/policies', operationId: 'policies', tags: ['decide'])]
    #[OA\Parameter(name: 'seasons', description: 'That are played: 1, 3 or 5; 3 by default', in: 'query', schema: new OA\Schema(type: 'integer', enum: self::SEASONS))]
    #[OA\Response(response: 304, description: 'As it was under the ETag in If-None-Match')]
    #[OA\Response(response: 200, description: 'What each policy would cost', content: new OA\JsonContent(ref: '#/components/schemas/Policies'))]
    public function show(Request $request, Planter $planter, PolicyQuery $policies): Response
    {
        $asked = $request->query('seasons', '3');
        abort_unless(is_string($asked) && in_array($asked, array_map(strval(...), self::SEASONS), true), 404);

        return KeptAnswer::of($request, "policies {$asked}:{$planter->id}", DecideVersion::of($planter->load(['specSheet', 'workshop'])), static fn (): PoliciesView => PoliciesView::of($planter, (int) $asked, $policies));
    }

    #[OA\Post(path: '/api/planters/{planter}/policy', operationId: 'choosePolicy', description: 'Proposals follow; sending it again is harmless', tags: ['decide'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PolicyChoice'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'It rules from now on', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, ChoosePolicy $choose): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $choose($planter, $this->user($request), JsonBody::of($request)));
    }
}
