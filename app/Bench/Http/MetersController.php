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
use App\Record\Http\ReceiptsShape;
use App\Record\KeepListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

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
        return ReceiptsShape::taken(fn (): array => $move($this->user($request), JsonBody::list($request, 'moves', self::MOST, 'meters.list')), 'moves');
    }

    /** @return list<array<string, mixed>> */
    private function listed(Workshop $workshop): array
    {
        $stays = $this->meters->stays($workshop->id);
        $runs = $this->meters->runs($workshop, $stays);
        $moves = MeterMove::current($workshop->id)->get()->keyBy('id')->all();

        return array_values(Meter::query()->where('workshop_id', $workshop->id)->orderBy('serial')->get()
            ->map(static fn (Meter $meter): array => MeterListShape::meter($meter, $stays[$meter->id] ?? [], $moves, $runs[$meter->id] ?? []))->all());
    }

    /** @return array<string, mixed> */
    private function one(Workshop $workshop, Meter $meter): array
    {
        return array_column($this->listed($workshop), null, 'id')[$meter->id];
    }
}
