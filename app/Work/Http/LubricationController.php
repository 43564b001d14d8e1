<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Controller;
use App\Work\KeepLubrication;
use App\Work\ShopLubrication;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What the shop lubricates, how long it takes and how often. */
final class LubricationController extends Controller
{
    #[OA\Get(path: '/api/lubrication', operationId: 'lubrication', tags: ['work'])]
    #[OA\Response(response: 200, description: 'All points, typical ones first', content: new OA\JsonContent(required: ['points'], properties: [new OA\Property(property: 'points', type: 'array', items: new OA\Items(ref: '#/components/schemas/LubricationPoint'))]))]
    public function index(Request $request): JsonResponse
    {
        $shop = ShopLubrication::of($this->user($request)->workshop->load('lubricationPoints'));

        return new JsonResponse(['points' => array_map(static fn (array $of): LubricationPointView => LubricationPointView::of($of, $shop), $shop->all())]);
    }

    #[OA\Put(path: '/api/lubrication/{point}', operationId: 'keepLubrication', description: 'Changes a typical point for this shop, or adds or changes one of its own; sending it again is harmless', tags: ['work'])]
    #[OA\Parameter(name: 'point', description: 'Its key, or a UUID made on the device', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/LubricationPoint'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(Request $request, LubricationEdit $edit, string $point, KeepLubrication $keep): JsonResponse
    {
        $workshop = $this->user($request)->workshop;
        $kept = $keep($workshop->id, $point, $edit->columns(), $edit->revision);

        return new JsonResponse(LubricationPointView::of($kept->shape(), ShopLubrication::of($workshop->load('lubricationPoints'))));
    }
}
