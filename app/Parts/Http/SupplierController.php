<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Models\Parts\Supplier;
use App\Parts\AskCounter;
use App\Parts\SaveSupplier;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Who the shop buys from, and what its parts cost there. */
final class SupplierController extends Controller
{
    #[OA\Get(path: '/api/suppliers', operationId: 'suppliers', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'By name', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Supplier')))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(Supplier::query()->where('workshop_id', $this->user($request)->workshop_id)->orderBy('name')->get()->map(SupplierView::of(...))->all());
    }

    #[OA\Post(path: '/api/suppliers', operationId: 'addSupplier', tags: ['parts'])]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Supplier'))]
    public function store(Request $request, SupplierEdit $edit, SaveSupplier $save): JsonResponse
    {
        return new JsonResponse(SupplierView::of($save(new Supplier(['workshop_id' => $this->user($request)->workshop_id]), $edit->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/suppliers/{supplier}', operationId: 'editSupplier', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Supplier'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(SupplierEdit $edit, Supplier $supplier, SaveSupplier $save): JsonResponse
    {
        return new JsonResponse(SupplierView::of($save($supplier, $edit->columns(), $edit->revision)));
    }

    #[OA\Post(path: '/api/suppliers/{supplier}/ask', operationId: 'askSupplier', description: 'Asks its parts counter, for up to 5 seconds; what it said before stands where it cannot be used', tags: ['parts'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 200, description: 'What stands now', content: new OA\JsonContent(ref: '#/components/schemas/Supplier'))]
    public function ask(Supplier $supplier, AskCounter $ask): JsonResponse
    {
        return new JsonResponse(SupplierView::of($ask($supplier)));
    }
}
