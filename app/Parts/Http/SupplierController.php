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

#[OA\Schema(schema: 'SupplierPrice', required: ['part_type_id', 'price', 'lead_days', 'since'], properties: [
    new OA\Property(property: 'part_type_id', type: 'integer'),
    new OA\Property(property: 'price', description: 'For one; null where it is not known', type: 'number', nullable: true),
    new OA\Property(property: 'lead_days', type: 'integer', maximum: 730, minimum: 0, nullable: true),
    new OA\Property(property: 'since', type: 'string', format: 'date'),
])]
#[OA\Schema(schema: 'SupplierEdit', required: ['name', 'prices'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'notes', type: 'string', maxLength: 500),
    new OA\Property(property: 'counter', description: 'Where its parts counter is asked: an http or https address, or the stand-in and how it behaves: practice:works, slow, late, down, wrong, half', type: 'string', maxLength: 300, nullable: true),
    new OA\Property(property: 'prices', description: 'One for each part type', type: 'array', items: new OA\Items(ref: '#/components/schemas/SupplierPrice')),
    new OA\Property(property: 'revision', description: 'That was changed; not of a new one', type: 'integer'),
])]
#[OA\Schema(schema: 'Supplier', required: ['id', 'name', 'notes', 'prices', 'counter', 'answered_at', 'answered', 'fault', 'failed_at', 'revision'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'notes', type: 'string'),
    new OA\Property(property: 'prices', type: 'array', items: new OA\Items(ref: '#/components/schemas/SupplierPrice')),
    new OA\Property(property: 'counter', type: 'string', nullable: true),
    new OA\Property(property: 'answered_at', description: 'When its counter was asked what stands now', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'answered', description: 'How many parts it knew', type: 'integer'),
    new OA\Property(property: 'fault', description: 'Why it could not be used the last time, in words; null where it could', type: 'string', nullable: true),
    new OA\Property(property: 'failed_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'revision', type: 'integer'),
])]
final class SupplierController extends Controller
{
    #[OA\Get(path: '/api/suppliers', operationId: 'suppliers', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'By name', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Supplier')))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(Supplier::query()->where('workshop_id', $this->user($request)->workshop_id)->orderBy('name')->get()->map(self::shape(...))->all());
    }

    #[OA\Post(path: '/api/suppliers', operationId: 'addSupplier', tags: ['parts'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SupplierEdit'))]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Supplier'))]
    public function store(SupplierRequest $request, SaveSupplier $save): JsonResponse
    {
        return new JsonResponse(self::shape($save($this->user($request)->workshop_id, null, $request->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/suppliers/{supplier}', operationId: 'editSupplier', tags: ['parts'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SupplierEdit'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Supplier'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(SupplierRequest $request, Supplier $supplier, SaveSupplier $save): JsonResponse
    {
        return new JsonResponse(self::shape($save($supplier->workshop_id, $supplier, $request->columns(), $request->integer('revision'))));
    }

    #[OA\Post(path: '/api/suppliers/{supplier}/ask', operationId: 'askSupplier', description: 'Asks its parts counter, for up to 5 seconds; what it said before stands where it cannot be used', tags: ['parts'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 200, description: 'What stands now', content: new OA\JsonContent(ref: '#/components/schemas/Supplier'))]
    public function ask(Supplier $supplier, AskCounter $ask): JsonResponse
    {
        return new JsonResponse(self::shape($ask($supplier)));
    }

    /** @return array<string, mixed> */
    private static function shape(Supplier $supplier): array
    {
        return [
            'id' => $supplier->id,
            'name' => $supplier->name,
            'notes' => $supplier->notes,
            'prices' => $supplier->prices,
            'counter' => $supplier->counter,
            'answered_at' => $supplier->answered_at?->toIso8601ZuluString('millisecond'),
            'answered' => count(array_filter(array_column($supplier->answers, 'known'))),
            'fault' => $supplier->fault === null ? null : __("counter.{$supplier->fault->value}", ['about' => $supplier->fault_about]),
            'failed_at' => $supplier->failed_at?->toIso8601ZuluString('millisecond'),
            'revision' => $supplier->revision,
        ];
    }
}
