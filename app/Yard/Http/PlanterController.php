<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Yard\SavePlanter;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlanterController extends Controller
{
    #[OA\Post(path: '/api/planters', operationId: 'makePlanter', tags: ['planter'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanterEdit'))]
    #[OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/Planter'))]
    public function store(PlanterRequest $request, SavePlanter $save): JsonResponse
    {
        $planter = $save(new Planter(['workshop_id' => $this->user($request)->workshop_id]), $request->fields());

        return new JsonResponse(PlanterView::of($planter), 201);
    }

    #[OA\Get(path: '/api/planters/{planter}', operationId: 'planter', tags: ['planter'])]
    #[OA\Response(response: 200, description: 'The planter', content: new OA\JsonContent(ref: '#/components/schemas/Planter'))]
    public function show(Planter $planter): PlanterView
    {
        return PlanterView::of($planter->load('specSheet'));
    }

    #[OA\Put(path: '/api/planters/{planter}', operationId: 'editPlanter', tags: ['planter'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanterEdit'))]
    #[OA\Response(response: 200, description: 'Kept; an open walk follows', content: new OA\JsonContent(ref: '#/components/schemas/Planter'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(PlanterRequest $request, Planter $planter, SavePlanter $save): PlanterView
    {
        return PlanterView::of($save($planter, $request->fields(), $request->string('version')->toString() ?: null));
    }
}
