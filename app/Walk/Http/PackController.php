<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Walk\Pack;
use App\Walk\Packs;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\ShippedPack;

final class PackController extends Controller
{
    #[OA\Get(path: '/api/packs', operationId: 'packs', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'Named sets of checks: those that are shipped, then the workshop\'s own', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Pack')))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function index(Request $request, Packs $packs): JsonResponse
    {
        return new JsonResponse([...array_map(PackView::shipped(...), ShippedPack::all()), ...array_map(PackView::of(...), $packs->of($this->user($request)->workshop_id))]);
    }

    #[OA\Post(path: '/api/packs', operationId: 'storePack', tags: ['walk'])]
    #[OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Pack'))]
    public function store(Request $request, PackEdit $edit, Packs $packs): JsonResponse
    {
        return new JsonResponse(PackView::of($packs->save(new Pack(['workshop_id' => $this->user($request)->workshop_id]), $edit->columns())), 201);
    }

    #[OA\Put(path: '/api/packs/{pack}', operationId: 'updatePack', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'Changed; walks that were started with it stay as they are', content: new OA\JsonContent(ref: '#/components/schemas/Pack'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(PackEdit $edit, Pack $pack, Packs $packs): JsonResponse
    {
        return new JsonResponse(PackView::of($packs->save($pack, $edit->columns(), $edit->version)));
    }

    #[OA\Delete(path: '/api/packs/{pack}', operationId: 'removePack', tags: ['walk'])]
    #[OA\Response(response: 204, description: 'Gone')]
    public function destroy(Pack $pack): Response
    {
        $pack->delete();

        return response()->noContent();
    }
}
