<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\DepthIndexQuery;
use App\Http\Controller;
use App\Models\Walk\Walk;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Field\RowIndex;

#[OA\Schema(schema: 'DepthIndex', required: ['school', 'tolerance', 'notch_mm', 'median', 'spread_before', 'spread_after', 'rows', 'missing', 'set', 'blades'], properties: [
    new OA\Property(property: 'school', description: 'What the shop does about it', type: 'string', enum: DepthStrategy::class),
    new OA\Property(property: 'tolerance', description: 'Notches that a row may be off', type: 'number'),
    new OA\Property(property: 'notch_mm', description: 'What one notch moves the gauge wheels by', type: 'number'),
    new OA\Property(property: 'median', description: 'Notch; null before three quarters of the rows are measured', type: 'number', nullable: true),
    new OA\Property(property: 'spread_before', description: 'Notches of depth between the deepest and the shallowest row with all set alike', type: 'number', nullable: true),
    new OA\Property(property: 'spread_after', description: 'The same once all is done as advised', type: 'number', nullable: true),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['row', 'notch', 'offset', 'move'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'notch', type: 'number'),
        new OA\Property(property: 'offset', description: 'Notches above the median', type: 'number'),
        new OA\Property(property: 'move', description: 'Notches, halves too, up where positive: how much higher than the rest it is set, or how far its stop is re-indexed', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'missing', description: 'Rows still to be measured: nothing is said of the rest before three quarters are', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'set', description: 'The rows whose notch was read as it is set now', type: 'array', items: new OA\Items(required: ['row', 'notch', 'aim'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'notch', type: 'number'),
        new OA\Property(property: 'aim', description: 'Where it belongs: the common notch with what the row carries; null while too few are set', type: 'number', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'blades', description: 'Where nobody measured where the wheels lift: rows that have to be set otherwise because of their blades alone', type: 'array', items: new OA\Items(required: ['row', 'move'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'move', description: 'Notches, higher where positive', type: 'number'),
    ], type: 'object')),
])]
final class DepthIndexController extends Controller
{
    #[OA\Get(path: '/api/walks/{walk}/depth-index', operationId: 'depthIndex', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'The rows\' depth stops against each other', content: new OA\JsonContent(ref: '#/components/schemas/DepthIndex'))]
    public function __invoke(Walk $walk, DepthIndexQuery $depth): JsonResponse
    {
        $stops = $depth->of($walk->load(['planter.specSheet', 'planter.workshop']));

        return new JsonResponse([
            'school' => $stops->school->value,
            'tolerance' => $stops->tolerance,
            'notch_mm' => $stops->notch,
            'median' => $stops->index?->median,
            'spread_before' => $stops->index?->spreadBefore,
            'spread_after' => $stops->index?->spreadAfter,
            'rows' => array_map(static fn (RowIndex $row): array => (array) $row, $stops->index->rows ?? []),
            'missing' => $stops->missing,
            'set' => array_map(static fn (int $row, float $notch): array => ['row' => $row, 'notch' => $notch, 'aim' => $stops->aims[$row] ?? null], array_keys($stops->set), $stops->set),
            'blades' => array_map(static fn (int $row, float $move): array => ['row' => $row, 'move' => $move], array_keys($stops->blades), $stops->blades),
        ]);
    }
}
