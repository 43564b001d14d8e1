<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Record\ChangedMeanwhile;
use App\Yard\EditWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class WorkshopController extends Controller
{
    #[OA\Get(path: '/api/workshop', operationId: 'workshop', tags: ['yard'])]
    #[OA\Response(response: 200, description: 'What the shop goes by', content: new OA\JsonContent(ref: '#/components/schemas/Workshop'))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(WorkshopView::of($this->user($request)->workshop()->firstOrFail()));
    }

    #[OA\Patch(path: '/api/workshop', operationId: 'updateWorkshop', tags: ['yard'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/WorkshopEdit'))]
    #[OA\Response(response: 200, description: 'Set; open walks follow', content: new OA\JsonContent(ref: '#/components/schemas/Workshop'))]
    public function update(WorkshopRequest $request, EditWorkshop $edit): JsonResponse
    {
        try {
            $kept = $edit($this->user($request)->workshop_id, $request->columns(), $request->seen());
        } catch (ChangedMeanwhile $changed) {
            throw new ChangedMeanwhile(array_map(WorkshopView::field(...), $changed->fields));
        }

        return new JsonResponse(WorkshopView::of($kept));
    }
}
