<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\DepthIndexQuery;
use App\Http\Controller;
use App\Models\Walk;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\DepthSchool;
use Ustrel\Core\Field\RowIndex;

#[OA\Schema(schema: 'DepthIndex', required: ['school', 'tolerance', 'notch_mm', 'median', 'spread_before', 'spread_after', 'rows'], properties: [
    new OA\Property(property: 'school', description: 'What the shop does about it', type: 'string', enum: DepthSchool::class),
    new OA\Property(property: 'tolerance', description: 'Notches that a row may be off', type: 'number'),
    new OA\Property(property: 'notch_mm', description: 'What one notch moves the gauge wheels by', type: 'number'),
    new OA\Property(property: 'median', description: 'Notch; null where no row was read', type: 'number', nullable: true),
    new OA\Property(property: 'spread_before', description: 'Notches of depth between the deepest and the shallowest row with all set alike', type: 'number', nullable: true),
    new OA\Property(property: 'spread_after', description: 'The same once all is done as advised', type: 'number', nullable: true),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['row', 'notch', 'offset', 'move'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'notch', type: 'number'),
        new OA\Property(property: 'offset', description: 'Notches above the median', type: 'number'),
        new OA\Property(property: 'move', description: 'Notches, halves too, up where positive: how much higher than the rest it is set, or how far its stop is re-indexed', type: 'number'),
    ], type: 'object')),
])]
final class DepthIndexController extends Controller
{
    #[OA\Get(path: '/api/walks/{walk}/depth-index', operationId: 'depthIndex', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/walk')]
    #[OA\Response(response: 200, description: 'The rows\' depth stops against each other', content: new OA\JsonContent(ref: '#/components/schemas/DepthIndex'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function __invoke(Walk $walk, DepthIndexQuery $depth): JsonResponse
    {
        ['index' => $index, 'tolerance' => $tolerance, 'notch' => $notch] = $depth->of($walk->load(['planter.specSheet', 'planter.workshop']));

        return new JsonResponse([
            'school' => $walk->planter->workshop->depth_school->value,
            'tolerance' => $tolerance,
            'notch_mm' => $notch->unit()->valueOf($notch),
            'median' => $index?->median,
            'spread_before' => $index?->spreadBefore,
            'spread_after' => $index?->spreadAfter,
            'rows' => array_map(static fn (RowIndex $row): array => (array) $row, $index->rows ?? []),
        ]);
    }
}
