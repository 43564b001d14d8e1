<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Parts\MoveStock;
use App\Parts\OnShelf;
use App\Parts\StoreQuery;
use App\Plan\Needed;
use App\Record\Http\ReceiptsShape;
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
#[OA\Schema(schema: 'OnShelf', required: ['part_type_id', 'name', 'own_number', 'supplier_id', 'price', 'lead_days', 'in_stock', 'minimum', 'on_hand', 'miscount', 'needed', 'for', 'on_order', 'to_order', 'to_draft', 'order_by'], properties: [
    new OA\Property(property: 'part_type_id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'own_number', type: 'string', nullable: true),
    new OA\Property(property: 'supplier_id', description: 'Who is to get the order: in time at the lowest price, or else first; null where no supplier is known to have it', type: 'integer', nullable: true),
    new OA\Property(property: 'price', description: 'For one, of that supplier or the part type; null where nobody knows', type: 'number', nullable: true),
    new OA\Property(property: 'lead_days', type: 'integer', nullable: true),
    new OA\Property(property: 'in_stock', description: 'At that supplier\'s, when its counter was asked last; null where it never said', type: 'integer', nullable: true),
    new OA\Property(property: 'minimum', type: 'integer', nullable: true),
    new OA\Property(property: 'on_hand', description: 'Null where nobody ever counted', type: 'integer', nullable: true),
    new OA\Property(property: 'miscount', description: 'More went than was there', type: 'boolean'),
    new OA\Property(property: 'needed', description: 'For what was decided and is not done', type: 'integer'),
    new OA\Property(property: 'for', type: 'array', items: new OA\Items(required: ['planter', 'count'], properties: [
        new OA\Property(property: 'planter', type: 'string'),
        new OA\Property(property: 'count', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'on_order', description: 'And not come yet', type: 'integer'),
    new OA\Property(property: 'to_order', type: 'integer'),
    new OA\Property(property: 'to_draft', description: 'Of these, in no draft yet', type: 'integer'),
    new OA\Property(property: 'order_by', description: 'The last day; null where the lead time or the day of planting is not known', type: 'string', format: 'date', nullable: true),
])]
final class StoreController extends Controller
{
    private const MOST = 1000;

    #[OA\Get(path: '/api/store', operationId: 'store', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'The shelf against what was decided, what is to be ordered first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OnShelf')))]
    public function show(Request $request, StoreQuery $store): JsonResponse
    {
        return new JsonResponse(array_map(self::shape(...), $store->of($this->user($request)->workshop)));
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
        return ReceiptsShape::taken(fn (): array => $move($this->user($request), JsonBody::list($request, 'moves', self::MOST, 'stock.list')), 'moves');
    }

    /** @return array<string, mixed> */
    private static function shape(OnShelf $of): array
    {
        return [
            'part_type_id' => $of->type->id,
            'name' => $of->type->name,
            'own_number' => $of->type->own_number,
            'supplier_id' => $of->offer()?->supplier,
            'price' => $of->price(),
            'lead_days' => $of->leadDays(),
            'in_stock' => $of->offer()?->inStock,
            'minimum' => $of->type->minimum,
            'on_hand' => $of->stock->onHand,
            'miscount' => $of->stock->isMiscount(),
            'needed' => $of->needed(),
            'for' => array_map(static fn (Needed $need): array => ['planter' => $need->planter, 'count' => $need->count], $of->needs),
            'on_order' => $of->onOrder,
            'to_order' => $of->toOrder(),
            'to_draft' => $of->toDraft(),
            'order_by' => $of->orderBy()?->iso,
        ];
    }
}
