<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\BenchQuery;
use App\Bench\BenchRuns;
use App\Bench\BenchSetUp;
use App\Bench\StartSettingsQuery;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Bench\SeedLot;
use App\Models\Planter;
use App\Record\Http\ReceiptsView;
use App\Record\TakeWhole;
use App\Spec\ShopAims;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Stage;

#[OA\Schema(schema: 'BenchEntry', description: 'A run of a row’s meter on a test stand', required: ['id', 'row', 'stage', 'places', 'skips', 'doubles', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 1),
    new OA\Property(property: 'stage', description: 'pre: as it came; final: as it goes back', type: 'string', enum: Stage::class),
    new OA\Property(property: 'places', description: 'Where a seed should have dropped; 100 or more of a run', type: 'integer', maximum: 5000, minimum: 4),
    new OA\Property(property: 'skips', description: 'Of them left empty', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'doubles', description: 'Of them with a seed too many', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'seed', description: 'The lot, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'disc', description: 'Disc or plate, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'air', description: 'Inches of water', type: 'number', maximum: 60, minimum: 0.5, nullable: true),
    new OA\Property(property: 'cells', description: 'Of the disc', type: 'integer', maximum: 400, minimum: 1, nullable: true),
    new OA\Property(property: 'population', description: 'Seeds an acre that it runs as if it planted', type: 'integer', maximum: 2000000, minimum: 500, nullable: true),
    new OA\Property(property: 'mph', description: 'Speed that it runs as if it went', type: 'number', maximum: 20, minimum: 0.5, nullable: true),
    new OA\Property(property: 'rpm', description: 'In place of mph: turns a minute of the disc, with cells and population', type: 'number', nullable: true),
    new OA\Property(property: 'singulator', description: 'Step, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'lubricant', description: 'And dose, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'run_in', description: 'Seeds that ran before the counting began', type: 'integer', maximum: 5000, minimum: 0, nullable: true),
    new OA\Property(property: 'part_of', description: 'The first part of the same run, where the vacuum was changed on the way', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The run whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'partial', description: 'It was cut short', type: 'boolean'),
    new OA\Property(property: 'look', description: 'One turn of the disc by hand, looked at; from 4 places on', type: 'boolean'),
    new OA\Property(property: 'withdrawn', description: 'Take back the run that is superseded', type: 'boolean'),
])]
/** Runs of a planter’s meters on the stand: what they tell, one that was counted, the air that loses least. */
final class BenchController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/bench', operationId: 'bench', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'Runs, and which meters differ', content: new OA\JsonContent(ref: '#/components/schemas/Bench'))]
    public function show(Planter $planter, BenchQuery $bench): JsonResponse
    {
        $runs = $bench->of($planter->load(['specSheet', 'workshop']));

        return new JsonResponse(BenchView::of($bench->looks($planter), $planter, $runs, $bench->before($planter, $runs), $bench->differing($runs), $bench->unsound($planter), $bench->due($planter, $runs), ShopAims::of($planter->workshop_id)));
    }

    #[OA\Post(path: '/api/planters/{planter}/bench', operationId: 'recordRun', description: 'Sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/BenchEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): BenchRuns => new BenchRuns($of), [JsonBody::of($request)]));
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/advice', operationId: 'airAdvice', description: 'By the runs of the row’s meter with the seed and disc that were run last', tags: ['bench'])]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The air that loses least', content: new OA\JsonContent(ref: '#/components/schemas/AirAdvice'))]
    public function advice(Request $request, Planter $planter, BenchQuery $bench): JsonResponse
    {
        $runs = $bench->alike($planter->load(['specSheet', 'workshop']), self::row($request, $planter));
        $advice = BenchQuery::advice($runs, ShopAims::of($planter->workshop_id)->forLot($runs->first()?->seedLot));

        return new JsonResponse(AirAdviceView::of($runs, $advice));
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/start', operationId: 'startSettings', description: 'By the shop’s own runs of seed of the same size on the same disc, on any of its planters', tags: ['bench'])]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'lot', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'disc', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The singulator and the air to start with', content: new OA\JsonContent(ref: '#/components/schemas/StartSettings'))]
    public function start(Request $request, Planter $planter, StartSettingsQuery $settings): JsonResponse
    {
        $row = self::row($request, $planter);
        [$id, $disc] = [$request->query('lot'), $request->query('disc')];
        $lots = SeedLot::query()->where('workshop_id', $planter->workshop_id)->get()->keyBy('id');
        $lot = is_string($id) && ctype_digit($id) ? $lots[(int) $id] ?? null : null;
        if ($lot === null || ! is_string($disc) || mb_strlen($disc) > BenchSetUp::LONGEST) {
            throw ValidationException::withMessages($lot === null ? ['lot' => __('seed.lot')] : ['disc' => __('bench.disc')]);
        }

        return new JsonResponse(StartSettingsView::of($settings->of($planter->load(['specSheet', 'workshop']), $row, $lot, trim($disc)), $lots->map->name->all()));
    }

    private static function row(Request $request, Planter $planter): int
    {
        $row = $request->query('row');

        return is_string($row) && preg_match('/^\d{1,3}$/D', $row) === 1 && (int) $row >= 1 && (int) $row <= $planter->row_count ? (int) $row
            : throw ValidationException::withMessages(['row' => __('bench.row')]);
    }
}
