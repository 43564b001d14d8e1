<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Parts\Order;
use App\Parts\DraftOrders;
use App\Parts\OrderSheet;
use App\Parts\ReceiveOrder;
use App\Parts\SaveOrder;
use App\Record\Http\ReceiptsView;
use App\Record\NotTaken;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** What is to be bought, from whom, and what of it has come. */
final class OrderController extends Controller
{
    private const MOST = 1000;

    #[OA\Get(path: '/api/orders', operationId: 'orders', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'The newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Order')))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(Order::query()->where('workshop_id', $this->user($request)->workshop_id)->with('supplier')->orderByDesc('created_at')->orderByDesc('id')->limit(200)->get()->map(OrderView::of(...))->all());
    }

    #[OA\Post(path: '/api/orders', operationId: 'addOrder', tags: ['parts'])]
    #[OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/Order'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, OrderEdit $edit, SaveOrder $save): JsonResponse
    {
        return new JsonResponse(OrderView::of($save($this->user($request), null, $edit->columns() + ['key' => strtolower((string) $edit->key)], 0)), 201);
    }

    #[OA\Post(path: '/api/orders/draft', operationId: 'draftOrders', description: 'One for each supplier, of what is to be ordered and stands in no draft yet; asking again is harmless', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'Those that were made', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Order')))]
    public function draft(Request $request, DraftOrders $draft): JsonResponse
    {
        return new JsonResponse(array_map(OrderView::of(...), $draft($this->user($request))));
    }

    #[OA\Put(path: '/api/orders/{order}', operationId: 'editOrder', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Order'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(Request $request, OrderEdit $edit, Order $order, SaveOrder $save): JsonResponse
    {
        return new JsonResponse(OrderView::of($save($this->user($request), $order, $edit->columns(), $edit->revision)));
    }

    #[OA\Post(path: '/api/orders/{order}/receive', operationId: 'receiveOrder', description: 'Onto the shelf; sending it again is harmless', tags: ['parts'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['moves'], properties: [
        new OA\Property(property: 'moves', description: 'What has come, 1 to 1,000', type: 'array', items: new OA\Items(required: ['id', 'part_type_id', 'quantity', 'happened_at'], properties: [
            new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
            new OA\Property(property: 'part_type_id', type: 'integer'),
            new OA\Property(property: 'quantity', type: 'integer', maximum: 100000, minimum: 1),
            new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
        ], type: 'object')),
    ]))]
    #[OA\Response(response: 200, description: 'The order as it is now; closed once all has come', content: new OA\JsonContent(ref: '#/components/schemas/Order'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function receive(Request $request, Order $order, ReceiveOrder $receive): JsonResponse
    {
        try {
            return new JsonResponse(OrderView::of($receive($order, $this->user($request), JsonBody::list($request, 'moves', self::MOST, 'stock.list'))));
        } catch (NotTaken $notTaken) {
            throw ReceiptsView::refusal($notTaken, 'moves');
        }
    }

    #[OA\Get(path: '/api/orders/{order}/order.pdf', operationId: 'printOrder', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'To send off', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function pdf(Request $request, Order $order): Response
    {
        return new Response((new OrderSheet($order->load('supplier'), $this->user($request)->workshop))->pdf(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="order.pdf"']);
    }

    #[OA\Get(path: '/api/orders/{order}/order.csv', operationId: 'exportOrder', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'Number, part, quantity, price', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))]
    public function csv(Request $request, Order $order): Response
    {
        return new Response((new OrderSheet($order, $this->user($request)->workshop))->csv(), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="order.csv"']);
    }
}
