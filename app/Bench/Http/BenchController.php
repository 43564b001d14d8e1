<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\BenchQuery;
use App\Bench\BenchRuns;
use App\Bench\OwnersReport;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\BenchRun;
use App\Models\Planter;
use App\Record\Http\ReceiptsShape;
use App\Record\NotTaken;
use App\Record\TakeWhole;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Heavy;
use Ustrel\Core\Meter\SeedsNeeded;
use Ustrel\Core\Meter\Stage;

#[OA\Schema(schema: 'BenchEntry', description: 'A run of a row’s meter on a test stand', required: ['id', 'row', 'stage', 'places', 'skips', 'doubles', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 1),
    new OA\Property(property: 'stage', description: 'pre: as it came; final: as it goes back', type: 'string', enum: Stage::class),
    new OA\Property(property: 'places', description: 'Where a seed should have dropped', type: 'integer', maximum: 5000, minimum: 100),
    new OA\Property(property: 'skips', description: 'Of them left empty', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'doubles', description: 'Of them with a seed too many', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'seed', description: 'The lot, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'disc', description: 'Disc or plate, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'air', description: 'Inches of water', type: 'number', maximum: 60, minimum: 0.5, nullable: true),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The run whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'partial', description: 'It was cut short', type: 'boolean'),
    new OA\Property(property: 'withdrawn', description: 'Take back the run that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'MeterShare', description: 'With its interval of 95 %', required: ['share', 'low', 'high'], properties: [
    new OA\Property(property: 'share', type: 'number'),
    new OA\Property(property: 'low', type: 'number'),
    new OA\Property(property: 'high', type: 'number'),
])]
#[OA\Schema(schema: 'AirAdvice', required: ['runs', 'advice'], properties: [
    new OA\Property(property: 'runs', description: 'That it goes by', type: 'array', items: new OA\Items(required: ['air', 'places', 'skips', 'doubles'], properties: [
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number'),
        new OA\Property(property: 'places', type: 'integer'),
        new OA\Property(property: 'skips', type: 'integer'),
        new OA\Property(property: 'doubles', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'advice', description: 'Null without a run that has its air', required: ['air', 'low', 'high', 'skips', 'doubles', 'in_sight', 'way', 'next', 'gain', 'heavy', 'curve'], properties: [
        new OA\Property(property: 'air', description: 'At which skips and doubles together are least', type: 'number'),
        new OA\Property(property: 'low', description: 'With high: the best air lies between them eight times in ten', type: 'number'),
        new OA\Property(property: 'high', type: 'number'),
        new OA\Property(property: 'skips', description: 'Share of places, to be expected there', type: 'number'),
        new OA\Property(property: 'doubles', type: 'number'),
        new OA\Property(property: 'in_sight', description: 'It lies among the airs that were tried', type: 'boolean'),
        new OA\Property(property: 'way', description: 'Where it lies otherwise', type: 'string', enum: ['more', 'less'], nullable: true),
        new OA\Property(property: 'next', description: 'Worth trying next; null where another run wins nothing', type: 'number', nullable: true),
        new OA\Property(property: 'gain', description: 'Share of places that it is expected to win', type: 'number'),
        new OA\Property(property: 'heavy', description: 'What no air puts right', type: 'string', enum: Heavy::class, nullable: true),
        new OA\Property(property: 'curve', description: 'What is to be expected by air', type: 'array', items: new OA\Items(required: ['air', 'skips', 'doubles'], properties: [
            new OA\Property(property: 'air', type: 'number'),
            new OA\Property(property: 'skips', type: 'number'),
            new OA\Property(property: 'doubles', type: 'number'),
        ], type: 'object')),
    ], type: 'object', nullable: true),
])]
#[OA\Schema(schema: 'Bench', required: ['runs', 'before', 'worse', 'better', 'seeds_to_tell'], properties: [
    new OA\Property(property: 'runs', description: 'Of this season, the newest first', type: 'array', items: new OA\Items(required: ['id', 'row', 'stage', 'places', 'skips', 'doubles', 'singulation', 'lean', 'skipped', 'doubled', 'seed', 'disc', 'air', 'note', 'partial', 'practice', 'figures', 'by', 'happened_at'], properties: [
        new OA\Property(property: 'id', type: 'string', format: 'uuid'),
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'stage', type: 'string', enum: Stage::class),
        new OA\Property(property: 'places', type: 'integer'),
        new OA\Property(property: 'skips', type: 'integer'),
        new OA\Property(property: 'doubles', type: 'integer'),
        new OA\Property(property: 'singulation', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'lean', description: 'Which there are more of, by more than luck', type: 'string', enum: ['skips', 'doubles'], nullable: true),
        new OA\Property(property: 'skipped', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'doubled', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'seed', type: 'string'),
        new OA\Property(property: 'disc', type: 'string'),
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number', nullable: true),
        new OA\Property(property: 'note', type: 'string'),
        new OA\Property(property: 'partial', description: 'It was cut short', type: 'boolean'),
        new OA\Property(property: 'practice', description: 'A made-up meter ran', type: 'boolean'),
        new OA\Property(property: 'figures', description: 'What its seeds told; null where only its counts are known', ref: '#/components/schemas/RunFigures', nullable: true),
        new OA\Property(property: 'by', type: 'string'),
        new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    ], type: 'object')),
    new OA\Property(property: 'before', description: 'The newest of each row in the seasons before', type: 'array', items: new OA\Items(required: ['row', 'season', 'singulation', 'air', 'seed'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'season', type: 'integer'),
        new OA\Property(property: 'singulation', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number', nullable: true),
        new OA\Property(property: 'seed', type: 'string'),
    ], type: 'object')),
    new OA\Property(property: 'worse', description: 'Rows that are really worse than the others, by the newest runs on the seed that was run last', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'better', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'seeds_to_tell', description: 'That two meters need each, so that 98 % is told from 99 %', type: 'integer'),
])]
final class BenchController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/bench', operationId: 'bench', tags: ['bench'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'Runs, and which meters differ', content: new OA\JsonContent(ref: '#/components/schemas/Bench'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function show(Planter $planter, BenchQuery $bench): JsonResponse
    {
        $runs = $bench->of($planter->load(['specSheet', 'workshop']));
        $differing = $bench->differing($runs);

        return new JsonResponse([
            'runs' => $runs->map(self::run(...))->all(),
            'before' => array_values(array_map(static fn (array $of): array => [
                'row' => $of[0]->row_number, 'season' => $of[1], 'singulation' => MeterShape::singulation($of[0]->counts()), 'air' => $of[0]->air === null ? null : (float) $of[0]->air, 'seed' => $of[0]->seed,
            ], $bench->before($planter, $runs))),
            'worse' => array_keys($differing, true, true),
            'better' => array_keys($differing, false, true),
            'seeds_to_tell' => SeedsNeeded::toTell(0.98, 0.99),
        ]);
    }

    #[OA\Post(path: '/api/planters/{planter}/bench', operationId: 'recordRun', description: 'Sending it again is harmless', tags: ['bench'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/BenchEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 400)]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function store(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        try {
            return ReceiptsShape::answer($take($planter, $this->user($request), static fn (Planter $of): BenchRuns => new BenchRuns($of), [JsonBody::of($request)]));
        } catch (NotTaken $notTaken) {
            throw ReceiptsShape::refusal($notTaken);
        }
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/report.pdf', operationId: 'benchReport', description: 'For the owner: each meter before and after, and the set-up for the cab', tags: ['bench'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'On paper', content: new OA\MediaType(mediaType: 'application/pdf'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function report(Planter $planter, OwnersReport $report): Response
    {
        return response($report->pdf($planter->load(['specSheet', 'workshop'])), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="meters.pdf"']);
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/advice', operationId: 'airAdvice', description: 'By the runs of the row’s meter with the seed and disc that were run last', tags: ['bench'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Parameter(name: 'row', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The air that loses least', content: new OA\JsonContent(ref: '#/components/schemas/AirAdvice'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function advice(Request $request, Planter $planter, BenchQuery $bench): JsonResponse
    {
        $row = $request->query('row');
        if (! is_string($row) || preg_match('/^\d{1,3}$/D', $row) !== 1 || (int) $row < 1 || (int) $row > $planter->row_count) {
            throw ValidationException::withMessages(['row' => __('bench.row')]);
        }
        $runs = $bench->alike($planter->load(['specSheet', 'workshop']), (int) $row);
        $advice = BenchQuery::advice($runs);

        return new JsonResponse([
            'runs' => $runs->map(static fn (BenchRun $run): array => ['air' => (float) $run->air, 'places' => $run->places, 'skips' => $run->skips, 'doubles' => $run->doubles])->all(),
            'advice' => $advice === null ? null : [
                'air' => $advice->air, 'low' => round($advice->low, 1), 'high' => round($advice->high, 1), 'skips' => round($advice->skips, 4), 'doubles' => round($advice->doubles, 4),
                'in_sight' => $advice->isInSight, 'way' => $advice->way, 'next' => $advice->next, 'gain' => round($advice->gain, 4), 'heavy' => $advice->heavy?->value,
                'curve' => array_map(static fn (array $at): array => ['air' => round($at[0], 2), 'skips' => round($at[1], 4), 'doubles' => round($at[2], 4)], $advice->curve),
            ],
        ]);
    }

    /** @return array<string, mixed> */
    private static function run(BenchRun $run): array
    {
        $counts = $run->counts();

        return [
            'id' => $run->id, 'row' => $run->row_number, 'stage' => $run->stage->value, 'places' => $run->places, 'skips' => $run->skips, 'doubles' => $run->doubles,
            'singulation' => MeterShape::singulation($counts),
            'lean' => $counts->lean(), 'skipped' => MeterShape::share($counts->skipped()), 'doubled' => MeterShape::share($counts->doubled()),
            'seed' => $run->seed, 'disc' => $run->disc, 'air' => $run->air === null ? null : (float) $run->air, 'note' => $run->note, 'partial' => $run->is_partial, 'practice' => $run->standRun?->practice !== null, 'figures' => $run->standRun?->figures, 'by' => $run->user->name,
            'happened_at' => $run->happened_at->toIso8601ZuluString(),
        ];
    }
}
