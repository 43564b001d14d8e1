<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Yard\EditWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\DepthSchool;

#[OA\Schema(schema: 'Workshop', required: ['watch_chance', 'time_zone', 'depth_school'], properties: [
    new OA\Property(property: 'watch_chance', description: 'Over this chance of reaching its limit within the season a part is watched', type: 'number'),
    new OA\Property(property: 'time_zone', description: 'Of the tz database; days begin and end by it', type: 'string'),
    new OA\Property(property: 'depth_school', description: 'What the shop does about depth stops that do not lift alike', type: 'string', enum: DepthSchool::class),
])]
final class WorkshopController extends Controller
{
    #[OA\Patch(path: '/api/workshop', operationId: 'updateWorkshop', tags: ['yard'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'watch_chance', type: 'number', maximum: 0.95, minimum: 0.01),
        new OA\Property(property: 'time_zone', type: 'string'),
        new OA\Property(property: 'depth_school', type: 'string', enum: DepthSchool::class),
    ]))]
    #[OA\Response(response: 200, description: 'Set; open walks follow', content: new OA\JsonContent(ref: '#/components/schemas/Workshop'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function update(Request $request, EditWorkshop $edit): JsonResponse
    {
        $given = $request->validate(
            [
                'watch_chance' => ['sometimes', 'required', 'numeric:strict', 'between:0.01,0.95', 'decimal:0,3'],
                'time_zone' => ['sometimes', 'required', 'string', 'timezone:all'],
                'depth_school' => ['sometimes', 'required', 'string', Rule::enum(DepthSchool::class)],
            ],
            ['watch_chance.*' => __('error.watch_chance'), 'time_zone.*' => __('error.time_zone'), 'depth_school' => __('error.depth_school')],
        );
        $workshop = $edit(
            $this->user($request)->workshop_id,
            isset($given['watch_chance']) ? (float) $given['watch_chance'] : null,
            $given['time_zone'] ?? null,
            DepthSchool::tryFrom($given['depth_school'] ?? ''),
        );

        return new JsonResponse(['watch_chance' => (float) $workshop->watch_chance, 'time_zone' => $workshop->time_zone, 'depth_school' => $workshop->depth_school->value]);
    }
}
