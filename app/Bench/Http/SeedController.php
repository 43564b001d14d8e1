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
use App\Record\Http\ReceiptsView;
use App\Record\KeepListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** The seed of a workshop: lots, discs, and what came and went. */
#[OA\Schema(schema: 'SeedMove', required: ['id', 'seed_lot_id', 'kind', 'units', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'seed_lot_id', type: 'integer'),
    new OA\Property(property: 'kind', type: 'string', enum: StockMoveKind::class),
    new OA\Property(property: 'units', description: 'To a tenth', type: 'number', maximum: 100000, minimum: 0),
    new OA\Property(property: 'note', type: 'string', maxLength: 200),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', type: 'boolean'),
])]
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
        [$stock, $toCome, $fields] = [$this->seed->stock($workshop), $this->seed->toCome($workshop), $this->seed->fields($workshop)];

        return new JsonResponse([
            'lots' => SeedLot::query()->where('workshop_id', $workshop->id)->orderBy('name')->get()->map(static fn (SeedLot $of): SeedLotView => SeedLotView::of($of, $stock[$of->id] ?? null, $toCome[$of->id] ?? 0.0, $fields[$of->id] ?? [], $discs))->all(),
            'discs' => $discs->map(DiscView::of(...))->all(),
        ]);
    }

    #[OA\Post(path: '/api/seed/lots', operationId: 'addSeedLot', tags: ['bench'])]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/SeedLot'))]
    public function addLot(Request $request, SeedLotEdit $edit, KeepListed $save): JsonResponse
    {
        return new JsonResponse($this->lot($this->user($request)->workshop, $save(new SeedLot(['workshop_id' => $this->user($request)->workshop_id]), $edit->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/seed/lots/{seedLot}', operationId: 'editSeedLot', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/SeedLot'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function editLot(Request $request, SeedLotEdit $edit, SeedLot $seedLot, KeepListed $save): JsonResponse
    {
        return new JsonResponse($this->lot($this->user($request)->workshop, $save($seedLot, $edit->columns(), $edit->revision)));
    }

    #[OA\Post(path: '/api/seed/discs', operationId: 'addDisc', tags: ['bench'])]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Disc'))]
    public function addDisc(Request $request, DiscEdit $edit, KeepListed $save): JsonResponse
    {
        return new JsonResponse(DiscView::of($save(new Disc(['workshop_id' => $this->user($request)->workshop_id]), $edit->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/seed/discs/{disc}', operationId: 'editDisc', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Disc'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function editDisc(Request $request, DiscEdit $edit, Disc $disc, KeepListed $save): JsonResponse
    {
        return new JsonResponse(DiscView::of($save($disc, $edit->columns(), $edit->revision)));
    }

    #[OA\Post(path: '/api/seed/moves', operationId: 'moveSeed', description: 'All of them, or nothing; sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['moves'], properties: [
        new OA\Property(property: 'moves', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeedMove')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function move(Request $request, MoveSeed $move): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $move($this->user($request), JsonBody::list($request, 'moves', self::MOST, 'seed.list')), 'moves');
    }

    private function lot(Workshop $workshop, SeedLot $of): SeedLotView
    {
        return SeedLotView::of($of, $this->seed->stock($workshop)[$of->id] ?? null, $this->seed->toCome($workshop)[$of->id] ?? 0.0, $this->seed->fields($workshop)[$of->id] ?? [], Disc::query()->where('workshop_id', $workshop->id)->orderBy('name')->get());
    }
}
