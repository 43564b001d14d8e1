<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Seed\MoveSeed;
use App\Bench\Seed\SeedQuery;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Bench\Disc;
use App\Models\Bench\SeedLot;
use App\Models\Workshop;
use App\Record\Http\ReceiptsShape;
use App\Record\KeepListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class SeedController extends Controller
{
    private const MOST = 100;

    public function __construct(private readonly SeedQuery $seed)
    {
    }

    #[OA\Get(path: '/api/seed', operationId: 'seed', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'Lots and discs of the workshop, by name', content: new OA\JsonContent(required: ['lots', 'discs'], properties: [
        new OA\Property(property: 'lots', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeedLot')),
        new OA\Property(property: 'discs', type: 'array', items: new OA\Items(ref: '#/components/schemas/Disc')),
    ]))]
    public function show(Request $request): JsonResponse
    {
        $workshop = $this->user($request)->workshop;
        $discs = Disc::query()->where('workshop_id', $workshop->id)->orderBy('name')->get();
        [$stock, $fields] = [$this->seed->stock($workshop), $this->seed->fields($workshop)];

        return new JsonResponse([
            'lots' => SeedLot::query()->where('workshop_id', $workshop->id)->orderBy('name')->get()->map(static fn (SeedLot $of): array => SeedShape::lot($of, $stock[$of->id] ?? null, $fields[$of->id] ?? [], $discs))->all(),
            'discs' => $discs->map(SeedShape::disc(...))->all(),
        ]);
    }

    #[OA\Post(path: '/api/seed/lots', operationId: 'addSeedLot', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SeedLotEdit'))]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/SeedLot'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function addLot(SeedLotRequest $request, KeepListed $save): JsonResponse
    {
        return new JsonResponse($this->lot($this->user($request)->workshop, $save($this->user($request)->workshop_id, new SeedLot, $request->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/seed/lots/{seedLot}', operationId: 'editSeedLot', tags: ['bench'])]
    #[OA\Parameter(name: 'seedLot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SeedLotEdit'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/SeedLot'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function editLot(SeedLotRequest $request, SeedLot $seedLot, KeepListed $save): JsonResponse
    {
        return new JsonResponse($this->lot($this->user($request)->workshop, $save($seedLot->workshop_id, $seedLot, $request->columns(), $request->integer('revision'))));
    }

    #[OA\Post(path: '/api/seed/discs', operationId: 'addDisc', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/DiscEdit'))]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Disc'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function addDisc(DiscRequest $request, KeepListed $save): JsonResponse
    {
        return new JsonResponse(SeedShape::disc($save($this->user($request)->workshop_id, new Disc, $request->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/seed/discs/{disc}', operationId: 'editDisc', tags: ['bench'])]
    #[OA\Parameter(name: 'disc', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/DiscEdit'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Disc'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function editDisc(DiscRequest $request, Disc $disc, KeepListed $save): JsonResponse
    {
        return new JsonResponse(SeedShape::disc($save($disc->workshop_id, $disc, $request->columns(), $request->integer('revision'))));
    }

    #[OA\Post(path: '/api/seed/moves', operationId: 'moveSeed', description: 'All of them, or nothing; sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['moves'], properties: [
        new OA\Property(property: 'moves', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeedMove')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 400)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function move(Request $request, MoveSeed $move): JsonResponse
    {
        return ReceiptsShape::taken(fn (): array => $move($this->user($request), JsonBody::list($request, 'moves', self::MOST, 'seed.list')), 'moves');
    }

    /** @return array<string, mixed> */
    private function lot(Workshop $workshop, SeedLot $of): array
    {
        return SeedShape::lot($of, $this->seed->stock($workshop)[$of->id] ?? null, $this->seed->fields($workshop)[$of->id] ?? [], Disc::query()->where('workshop_id', $workshop->id)->orderBy('name')->get());
    }
}
