<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Meters\MetersQuery;
use App\Bench\Meters\MoveMeters;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use App\Models\Workshop;
use App\Record\Http\ReceiptsView;
use App\Record\KeepListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Places\MeterTo;

#[OA\Schema(schema: 'MeterMove', required: ['id', 'meter_id', 'to', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'meter_id', type: 'integer'),
    new OA\Property(property: 'to', type: 'string', enum: MeterTo::class),
    new OA\Property(property: 'planter_id', description: 'Of the row', type: 'integer', nullable: true),
    new OA\Property(property: 'row', type: 'integer', nullable: true),
    new OA\Property(property: 'place', description: 'Which shelf, or with whom it is', type: 'string', maxLength: 120),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The move whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the move that is superseded', type: 'boolean'),
])]
/** The meters of a workshop by their own numbers: where they are and were, and how they ran. */
final class MetersController extends Controller
{
    private const MOST = 100;

    public function __construct(private readonly MetersQuery $meters)
    {
    }

    #[OA\Get(path: '/api/meters', operationId: 'meters', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'By number', content: new OA\JsonContent(required: ['meters'], properties: [
        new OA\Property(property: 'meters', type: 'array', items: new OA\Items(ref: '#/components/schemas/Meter')),
    ]))]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(['meters' => $this->listed($this->user($request)->workshop)]);
    }

    #[OA\Post(path: '/api/meters', operationId: 'addMeter', tags: ['bench'])]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Meter'))]
    public function store(Request $request, MeterEdit $edit, KeepListed $keep): JsonResponse
    {
        return new JsonResponse($this->one($this->user($request)->workshop, $keep(new Meter(['workshop_id' => $this->user($request)->workshop_id]), $edit->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/meters/{meter}', operationId: 'editMeter', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Meter'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(Request $request, MeterEdit $edit, Meter $meter, KeepListed $keep): JsonResponse
    {
        return new JsonResponse($this->one($this->user($request)->workshop, $keep($meter, $edit->columns(), $edit->revision)));
    }

    #[OA\Post(path: '/api/meters/moves', operationId: 'moveMeters', description: 'All of them, or nothing; no row holds two at once; sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['moves'], properties: [
        new OA\Property(property: 'moves', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/MeterMove')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function move(Request $request, MoveMeters $move): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $move($this->user($request), JsonBody::list($request, 'moves', self::MOST, 'meters.list')), 'moves');
    }

    /** @return list<MeterView> */
    private function listed(Workshop $workshop): array
    {
        $stays = $this->meters->stays($workshop->id);
        $runs = $this->meters->runs($workshop, $stays);
        $moves = MeterMove::current($workshop->id)->get()->keyBy('id')->all();

        return array_values(Meter::query()->where('workshop_id', $workshop->id)->orderBy('serial')->get()
            ->map(static fn (Meter $meter): MeterView => MeterView::of($meter, $stays[$meter->id] ?? [], $moves, $runs[$meter->id] ?? []))->all());
    }

    private function one(Workshop $workshop, Meter $meter): MeterView
    {
        return array_column($this->listed($workshop), null, 'id')[$meter->id];
    }
}
