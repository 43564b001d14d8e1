<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\PlantedThere;
use App\Field\StandCountEvents;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Record\Http\ReceiptsShape;
use App\Record\TakeWhole;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What came up, counted day by day on marked lengths. */
final class EmergenceController extends Controller
{
    private const MOST = 100;

    #[OA\Get(path: '/api/planters/{planter}/emergence', operationId: 'emergence', tags: ['field'])]
    #[OA\Response(response: 200, description: 'Field by field, the one that was counted last first', content: new OA\JsonContent(ref: '#/components/schemas/Emergence'))]
    public function show(Request $request, Planter $planter): JsonResponse
    {
        $planter->load('workshop');
        $counts = StandCount::current($planter->id)->with('user')->orderByDesc('happened_at')->orderByDesc('id')->get();

        return new JsonResponse(EmergenceShape::of($planter, $counts, PlantedThere::by($planter), $this->user($request)->units));
    }

    #[OA\Post(path: '/api/planters/{planter}/emergence', operationId: 'countStand', description: 'All of them, or nothing; sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['counts'], properties: [
        new OA\Property(property: 'counts', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/StandCountEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        $counts = JsonBody::list($request, 'counts', self::MOST, 'stand_count.list');

        return ReceiptsShape::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): StandCountEvents => new StandCountEvents($of), $counts), 'counts');
    }
}
