<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\BenchRuns;
use App\Bench\CountsCsv;
use App\Bench\OwnersReport;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Record\Http\ReceiptsView;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;
use App\Record\TakeWhole;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Differing;

/** Reports of runs: the one that a stand elsewhere sends, the one for the owner, and two runs held against each other. */
final class BenchReportController extends Controller
{
    private const MOST = 100;

    #[OA\Get(path: '/api/planters/{planter}/bench/report.pdf', operationId: 'benchReport', description: 'For the owner: each meter before and after, and the set-up for the cab', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'On paper', content: new OA\MediaType(mediaType: 'application/pdf'))]
    public function show(Planter $planter, OwnersReport $report): Response
    {
        return response($report->pdf($planter->load(['specSheet', 'workshop'])), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="meters.pdf"']);
    }

    #[OA\Post(path: '/api/planters/{planter}/bench/report', operationId: 'readReport', description: 'Reads the report of a stand elsewhere, a meter a line; nothing is kept. Columns: docs/formats.md', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['file'], properties: [new OA\Property(property: 'file', type: 'string', format: 'binary')])))]
    #[OA\Response(response: 200, description: 'The runs as they were read', content: new OA\JsonContent(required: ['runs'], properties: [
        new OA\Property(property: 'runs', type: 'array', items: new OA\Items(required: ['row', 'stage', 'places', 'skips', 'doubles'], properties: [
            new OA\Property(property: 'row', type: 'integer'),
            new OA\Property(property: 'stage', type: 'string'),
            new OA\Property(property: 'places', type: 'integer'),
            new OA\Property(property: 'skips', type: 'integer'),
            new OA\Property(property: 'doubles', type: 'integer'),
            new OA\Property(property: 'seed', type: 'string'),
            new OA\Property(property: 'disc', type: 'string'),
            new OA\Property(property: 'air', type: 'number'),
            new OA\Property(property: 'note', type: 'string'),
        ], type: 'object')),
    ]))]
    public function read(Request $request, Planter $planter, CountsCsv $csv): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:1024']], ['file.*' => __('season.file')]);
        try {
            return new JsonResponse(['runs' => $csv->read(CsvFile::open((string) $request->file('file')?->getRealPath()), $planter)]);
        } catch (RefusedFile $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        }
    }

    #[OA\Post(path: '/api/planters/{planter}/bench/counts', operationId: 'recordRuns', description: 'All of them, or nothing; sending it again is harmless', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['runs'], properties: [
        new OA\Property(property: 'runs', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        $runs = JsonBody::list($request, 'runs', self::MOST, 'bench.list');

        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): BenchRuns => new BenchRuns($of), $runs), 'runs');
    }

    #[OA\Get(path: '/api/planters/{planter}/bench/compare', operationId: 'compareRuns', tags: ['bench'])]
    #[OA\Parameter(name: 'one', in: 'query', required: true, schema: new OA\Schema(type: 'string', format: 'uuid'))]
    #[OA\Parameter(name: 'other', in: 'query', required: true, schema: new OA\Schema(type: 'string', format: 'uuid'))]
    #[OA\Response(response: 200, description: 'Whether two runs are of meters that differ', content: new OA\JsonContent(required: ['chance', 'differ'], properties: [
        new OA\Property(property: 'chance', description: 'That two alike are so far apart', type: 'number'),
        new OA\Property(property: 'differ', description: 'By more than luck, at one in twenty', type: 'boolean'),
    ]))]
    public function compare(Request $request, Planter $planter): JsonResponse
    {
        [$one, $other] = array_map(static fn (string $which): BenchRun => self::run($request->query($which), $planter, $which), ['one', 'other']);
        $chance = Differing::chanceBetween($one->counts(), $other->counts());

        return new JsonResponse(['chance' => round($chance, 4), 'differ' => $chance < Differing::LUCK]);
    }

    private static function run(mixed $id, Planter $planter, string $field): BenchRun
    {
        return (is_string($id) && Str::isUuid($id) ? BenchRun::current($planter->id)->find($id) : null) ?? throw ValidationException::withMessages([$field => __('bench.gone')]);
    }
}
