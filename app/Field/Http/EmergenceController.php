<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\PlantedThere;
use App\Field\StandCountEvents;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Record\Http\ReceiptsView;
use App\Record\TakeWhole;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\UnitSystem;

#[OA\Schema(schema: 'StandCountEntry', required: ['id', 'row', 'field', 'planted_on', 'plants', 'length', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', minimum: 1),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'planted_on', type: 'string', format: 'date'),
    new OA\Property(property: 'plants', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'length', description: 'Of row that was marked, feet or metres', type: 'number'),
    new OA\Property(property: 'units', type: 'string', enum: UnitSystem::class),
    new OA\Property(property: 'population', description: 'That was planted, seeds an acre', type: 'integer', nullable: true),
    new OA\Property(property: 'germination', description: 'Share, on the tag', type: 'number', maximum: 1, minimum: 0.01, nullable: true),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The count whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the one that is superseded', type: 'boolean'),
])]
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

        return new JsonResponse(EmergenceView::of($planter, $counts, PlantedThere::by($planter), $this->user($request)->units));
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

        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): StandCountEvents => new StandCountEvents($of), $counts), 'counts');
    }
}
