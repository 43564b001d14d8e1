<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Stand\EndRun;
use App\Bench\Stand\Ingest;
use App\Bench\Stand\PracticeStand;
use App\Bench\Stand\PrepareRun;
use App\Bench\Stand\SeedTimes;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Http\LiveStream;
use App\Models\Bench\StandRun;
use App\Models\Planter;
use App\Record\Fields;
use App\Record\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Ustrel\Core\Meter\Stage;

#[OA\Schema(schema: 'StandRunSetUp', required: ['id', 'row', 'stage', 'cells', 'places'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7; its counts are recorded under it', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 1),
    new OA\Property(property: 'stage', type: 'string', enum: Stage::class),
    new OA\Property(property: 'seed', type: 'string', maxLength: 80),
    new OA\Property(property: 'disc', type: 'string', maxLength: 80),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'cells', type: 'integer', maximum: 400, minimum: 1),
    new OA\Property(property: 'turns', description: 'A minute', type: 'number', maximum: 300, minimum: 1, nullable: true),
    new OA\Property(property: 'air', description: 'Inches of water', type: 'number', maximum: 60, minimum: 0.5, nullable: true),
    new OA\Property(property: 'population', description: 'Seeds an acre that it runs as if it planted; with the cells, either of turns and mph gives the other', type: 'integer', maximum: 2000000, minimum: 500, nullable: true),
    new OA\Property(property: 'mph', type: 'number', maximum: 20, minimum: 0.5, nullable: true),
    new OA\Property(property: 'singulator', type: 'string', maxLength: 80),
    new OA\Property(property: 'lubricant', type: 'string', maxLength: 80),
    new OA\Property(property: 'run_in', description: 'Seeds that run before the counting begins', type: 'integer', maximum: 5000, minimum: 0, nullable: true),
    new OA\Property(property: 'places', type: 'integer', maximum: 5000, minimum: 100),
    new OA\Property(property: 'practice', description: 'The made-up stand runs it', type: 'boolean'),
    new OA\Property(property: 'size', description: 'Of the seed of the made-up meter, millimetres', type: 'number', maximum: 20, minimum: 1),
    new OA\Property(property: 'worn', description: 'The seal of the made-up meter is', type: 'boolean'),
    new OA\Property(property: 'plugged', description: 'A cell of it is', type: 'boolean'),
    new OA\Property(property: 'fault', description: 'Of the made-up stand', type: 'string', enum: PracticeStand::FAULTS),
    new OA\Property(property: 'times', description: 'Instead of a stand: a time a line in milliseconds, or NDJSON with ms', type: 'string', maxLength: SeedTimes::MOST_BYTES),
])]
final class StandRunController extends Controller
{
    #[OA\Post(path: '/api/planters/{planter}/bench/runs', operationId: 'prepareRun', description: 'Sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/StandRunSetUp'))]
    #[OA\Response(response: 200, description: 'It waits for the stand, or is over', content: new OA\JsonContent(ref: '#/components/schemas/StandRun'))]
    public function store(Request $request, Planter $planter, PrepareRun $prepare, Ingest $ingest, EndRun $end): JsonResponse
    {
        return $this->answered(function () use ($request, $planter, $prepare, $ingest, $end): StandRun {
            $fields = Fields::of(JsonBody::of($request), 'bench.item');
            $times = $fields->text('times', SeedTimes::MOST_BYTES, 'stand.times');
            $lines = $times === '' ? null : SeedTimes::lines($times);
            $run = $prepare($this->user($request), $planter->load(['specSheet', 'workshop']), $fields);
            if ($lines !== null && $run->state === 'waiting') {
                $ingest($run, $lines);
                $run = $end($run);
            }

            return $run;
        });
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/runs/now', operationId: 'runUnderWay', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'The run that is under way, or was last', content: new OA\JsonContent(required: ['run'], properties: [new OA\Property(property: 'run', ref: '#/components/schemas/StandRun', nullable: true)]))]
    public function now(Planter $planter): JsonResponse
    {
        $run = StandRun::query()->where('planter_id', $planter->id)->orderByDesc('made_at')->orderByDesc('id')->first();

        return new JsonResponse(['run' => $run === null ? null : StandRunView::of($run)]);
    }

    #[OA\Post(path: '/api/planters/{planter}/bench/runs/{standRun}/practice', operationId: 'practiceRun', description: 'Lets the made-up stand tell what has dropped by now', tags: ['bench'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 200, description: 'The run', content: new OA\JsonContent(ref: '#/components/schemas/StandRun'))]
    public function practice(Planter $planter, StandRun $standRun, Ingest $ingest): JsonResponse
    {
        return $this->answered(static function () use ($standRun, $ingest): StandRun {
            if ($standRun->practice !== null && in_array($standRun->state, ['waiting', 'running'], true)) {
                $ingest($standRun, PracticeStand::lines($standRun));
            }

            return $standRun->refresh();
        });
    }

    #[OA\Post(path: '/api/planters/{planter}/bench/runs/{standRun}/stop', operationId: 'stopRun', description: 'What was counted so far is kept as partial', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'The run', content: new OA\JsonContent(ref: '#/components/schemas/StandRun'))]
    public function stop(Planter $planter, StandRun $standRun, EndRun $end): JsonResponse
    {
        return new JsonResponse(StandRunView::of($end($standRun)));
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/runs/{standRun}/times.csv', operationId: 'runTimes', description: 'Of each seed, in milliseconds', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'A table', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function times(Planter $planter, StandRun $standRun): Response
    {
        return response("ms\n".implode('', array_map(static fn (float $ms): string => round($ms, 3)."\n", $standRun->times())), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="times.csv"']);
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/runs/now/stream', operationId: 'runLive', description: 'Server-sent events, each as runUnderWay answers; they end after half a minute, and the browser asks again', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'A stream', content: new OA\MediaType(mediaType: 'text/event-stream'))]
    #[OA\Response(response: 429, description: 'As many watch as the server has hands for: ask each second instead')]
    public function live(Planter $planter): StreamedResponse|JsonResponse
    {
        $run = static fn (): ?StandRun => StandRun::query()->where('planter_id', $planter->id)->orderByDesc('made_at')->orderByDesc('id')->first();

        return LiveStream::of(static fn (): array => ['run' => ($now = $run()) === null ? null : StandRunView::of($now)], static fn (): bool => in_array($run()?->state, StandRun::UNDER_WAY, true));
    }

    /** @param  callable(): StandRun  $of */
    private function answered(callable $of): JsonResponse
    {
        try {
            return new JsonResponse(StandRunView::of($of()));
        } catch (Refused $refused) {
            throw ValidationException::withMessages([$refused->field => $refused->getMessage()]);
        }
    }
}
