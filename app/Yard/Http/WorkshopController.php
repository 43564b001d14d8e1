<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Models\Workshop;
use App\Yard\SetWatchChance;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class WorkshopController extends Controller
{
    #[OA\Patch(path: '/api/workshop', operationId: 'updateWorkshop', tags: ['wear'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['watch_chance'], properties: [
        new OA\Property(property: 'watch_chance', description: 'Over this chance of reaching its limit within the season a part is watched', type: 'number', maximum: 0.95, minimum: 0.01),
    ]))]
    #[OA\Response(response: 200, description: 'Set', content: new OA\JsonContent(required: ['watch_chance'], properties: [new OA\Property(property: 'watch_chance', type: 'number')]))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function update(Request $request, SetWatchChance $set): JsonResponse
    {
        $given = $request->validate(['watch_chance' => ['required', 'numeric', 'between:0.01,0.95']], ['watch_chance.*' => __('error.watch_chance')]);
        $set(Workshop::query()->findOrFail($this->user($request)->workshop_id), (float) $given['watch_chance']);

        return new JsonResponse(['watch_chance' => (float) $given['watch_chance']]);
    }
}
