<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Parts\MoveStock;
use App\Parts\StoreQuery;
use App\Record\Http\ReceiptsView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Stock\StockMoveKind;

#[OA\Schema(schema: 'StockMove', required: ['id', 'part_type_id', 'kind', 'quantity', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'part_type_id', type: 'integer'),
    new OA\Property(property: 'kind', type: 'string', enum: StockMoveKind::class),
    new OA\Property(property: 'quantity', description: '1 to 100,000; counted may be 0', type: 'integer', maximum: 100000, minimum: 0),
    new OA\Property(property: 'note', type: 'string', maxLength: 200),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', type: 'boolean'),
])]
final class StoreController extends Controller
{
    private const MOST = 1000;

    #[OA\Get(path: '/api/store', operationId: 'store', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'The shelf against what was decided, what is to be ordered first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OnShelf')))]
    public function show(Request $request, StoreQuery $store): JsonResponse
    {
        return new JsonResponse(array_map(OnShelfView::of(...), $store->of($this->user($request)->workshop)));
    }

    #[OA\Post(path: '/api/store/moves', operationId: 'moveStock', description: 'All of them, or nothing; sending it again is harmless', tags: ['parts'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['moves'], properties: [
        new OA\Property(property: 'moves', description: '1 to 1,000', type: 'array', items: new OA\Items(ref: '#/components/schemas/StockMove')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function move(Request $request, MoveStock $move): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $move($this->user($request), JsonBody::list($request, 'moves', self::MOST, 'stock.list')), 'moves');
    }
}
