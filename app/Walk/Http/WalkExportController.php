<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Walk\Walk;
use App\Walk\Board\BoardQuery;
use App\Walk\Export\WalkCsv;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class WalkExportController extends Controller
{
    #[OA\Get(path: '/api/walks/{walk}/export.csv', operationId: 'exportWalk', description: 'Columns: docs/formats.md', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'Every place of the walk, one a line', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))]
    public function __invoke(Request $request, Walk $walk, BoardQuery $board): StreamedResponse
    {
        $csv = new WalkCsv($board->ofWalk($walk->load(['planter.specSheet', 'planter.workshop']), $walk->planter), $this->user($request)->units);
        $name = Str::slug("{$walk->planter->farm} {$walk->planter->name} {$walk->season} {$walk->kind->value}").'.csv';

        return response()->streamDownload(static function () use ($csv): void {
            $csv->write(fopen('php://output', 'wb') ?: throw new \RuntimeException('No output to write to'));
        }, $name, ['Content-Type' => 'text/csv; charset=UTF-8']);
    }
}
