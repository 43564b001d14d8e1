<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\DepthIndexQuery;
use App\Http\Controller;
use App\Models\Walk\Walk;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\RowIndex;

final class DepthIndexController extends Controller
{
    #[OA\Get(path: '/api/walks/{walk}/depth-index', operationId: 'depthIndex', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'The rows\' depth stops against each other', content: new OA\JsonContent(ref: '#/components/schemas/DepthIndex'))]
    public function __invoke(Walk $walk, DepthIndexQuery $depth): JsonResponse
    {
        $stops = $depth->of($walk->load(['planter.specSheet', 'planter.workshop']));

        return new JsonResponse(new DepthIndexView(
            school: $stops->school,
            tolerance: $stops->tolerance,
            notch_mm: $stops->notch,
            median: $stops->index?->median,
            spread_before: $stops->index?->spreadBefore,
            spread_after: $stops->index?->spreadAfter,
            rows: array_map(static fn (RowIndex $row): array => ['row' => $row->row, 'notch' => $row->notch, 'offset' => $row->offset, 'move' => $row->move], $stops->index->rows ?? []),
            missing: $stops->missing,
            set: array_map(static fn (int $row, float $notch): array => ['row' => $row, 'notch' => $notch, 'aim' => $stops->aims[$row] ?? null], array_keys($stops->set), $stops->set),
            blades: array_map(static fn (int $row, float $move): array => ['row' => $row, 'move' => $move], array_keys($stops->blades), $stops->blades),
        ));
    }
}
