<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\BenchQuery;
use App\Bench\BenchRuns;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Record\Http\ReceiptsShape;
use App\Record\TakeWhole;
use App\Spec\ShopAims;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Runs of a planter’s meters on the stand: what they tell, one that was counted, the air that loses least. */
final class BenchController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/bench', operationId: 'bench', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'Runs, and which meters differ', content: new OA\JsonContent(ref: '#/components/schemas/Bench'))]
    public function show(Planter $planter, BenchQuery $bench): JsonResponse
    {
        $runs = $bench->of($planter->load(['specSheet', 'workshop']));

        return new JsonResponse(['looks' => BenchShape::looks($bench->looks($planter))] + BenchShape::of($planter, $runs, $bench->before($planter, $runs), $bench->differing($runs), $bench->unsound($planter), $bench->due($planter, $runs), ShopAims::of($planter->workshop_id)));
    }

    #[OA\Post(path: '/api/planters/{planter}/bench', operationId: 'recordRun', description: 'Sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/BenchEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        return ReceiptsShape::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): BenchRuns => new BenchRuns($of), [JsonBody::of($request)]));
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/advice', operationId: 'airAdvice', description: 'By the runs of the row’s meter with the seed and disc that were run last', tags: ['bench'])]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The air that loses least', content: new OA\JsonContent(ref: '#/components/schemas/AirAdvice'))]
    public function advice(Request $request, Planter $planter, BenchQuery $bench): JsonResponse
    {
        $row = $request->query('row');
        if (! is_string($row) || preg_match('/^\d{1,3}$/D', $row) !== 1 || (int) $row < 1 || (int) $row > $planter->row_count) {
            throw ValidationException::withMessages(['row' => __('bench.row')]);
        }
        $runs = $bench->alike($planter->load(['specSheet', 'workshop']), (int) $row);
        $advice = BenchQuery::advice($runs, ShopAims::of($planter->workshop_id)->forLot($runs->first()?->seedLot));

        return new JsonResponse([
            'runs' => $runs->map(static fn (BenchRun $run): array => ['air' => (float) $run->air, 'places' => $run->places, 'skips' => $run->skips, 'doubles' => $run->doubles])->all(),
            'advice' => $advice === null ? null : [
                'air' => $advice->air, 'low' => round($advice->low, 1), 'high' => round($advice->high, 1), 'skips' => round($advice->skips, 4), 'doubles' => round($advice->doubles, 4),
                'in_sight' => $advice->isInSight, 'way' => $advice->way, 'next' => $advice->next, 'gain' => round($advice->gain, 4), 'heavy' => $advice->heavy?->value,
                'curve' => array_map(static fn (array $at): array => ['air' => round($at[0], 2), 'skips' => round($at[1], 4), 'doubles' => round($at[2], 4)], $advice->curve),
            ],
        ]);
    }
}
