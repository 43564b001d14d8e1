<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Controller;
use App\Models\Plan\Decision;
use App\Models\Planter;
use App\Parts\FittedPart;
use App\Parts\Http\FittingShape;
use App\Parts\LedgerQuery;
use App\Parts\MovedShims;
use App\Plan\CarriedQuery;
use App\Walk\Board\HistoryQuery;
use App\Walk\Board\HistoryReading;
use App\Walk\Board\Remarks;
use App\Walk\Http\RemarkShape;
use App\Wear\ForecastQuery;
use App\Wear\Http\ForecastShape;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;

#[OA\Schema(schema: 'TimelineReading', required: ['check', 'side'], properties: [
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
], allOf: [new OA\Schema(ref: '#/components/schemas/HistoryReading')])]
#[OA\Schema(schema: 'RowFitting', required: ['season', 'removed_season'], properties: [
    new OA\Property(property: 'season', description: 'In which it was fitted', type: 'integer'),
    new OA\Property(property: 'removed_season', type: 'integer', nullable: true),
], allOf: [new OA\Schema(ref: '#/components/schemas/Fitting')])]
#[OA\Schema(schema: 'RowShimMove', required: ['season'], properties: [
    new OA\Property(property: 'season', type: 'integer'),
], allOf: [new OA\Schema(ref: '#/components/schemas/ShimMove')])]
#[OA\Schema(schema: 'RowCarried', required: ['check', 'side', 'season', 'by', 'reason', 'words', 'look_when', 'look_acres', 'happened_at'], properties: [
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'reason', type: 'string', enum: OverrideReason::class, nullable: true),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'look_when', type: 'string', enum: LookWhen::class),
    new OA\Property(property: 'look_acres', type: 'number', nullable: true),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'RowRecord', required: ['row', 'readings', 'notes', 'photos', 'fittings', 'shim_moves', 'carried', 'forecast', 'run_m'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'readings', description: 'Figures and trouble of all walks, newest first; what was sound without a figure is left out', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimelineReading')),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Note')),
    new OA\Property(property: 'photos', type: 'array', items: new OA\Items(ref: '#/components/schemas/Photo')),
    new OA\Property(property: 'fittings', description: 'What is fitted, and was, newest first', type: 'array', items: new OA\Items(ref: '#/components/schemas/RowFitting')),
    new OA\Property(property: 'shim_moves', type: 'array', items: new OA\Items(ref: '#/components/schemas/RowShimMove')),
    new OA\Property(property: 'carried', description: 'What was carried over, and why, newest first', type: 'array', items: new OA\Items(ref: '#/components/schemas/RowCarried')),
    new OA\Property(property: 'forecast', ref: '#/components/schemas/Forecast'),
    new OA\Property(property: 'run_m', description: 'Furrow metres that the row has run altogether', type: 'number'),
])]
final class RowController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/rows/{row}', operationId: 'row', tags: ['board'])]
    #[OA\Response(response: 200, description: 'The record of one row', content: new OA\JsonContent(ref: '#/components/schemas/RowRecord'))]
    public function __invoke(Planter $planter, int $row, HistoryQuery $history, Remarks $remarks, ForecastQuery $forecasts): JsonResponse
    {
        abort_unless($row >= 0 && $row <= $planter->row_count, 404);
        $forecast = $forecasts->of($planter->load('workshop'), $row);

        return new JsonResponse([
            'row' => $row,
            'readings' => array_map(
                static fn (HistoryReading $reading): array => HistoryReadingShape::of($reading) + ['check' => $reading->check, 'side' => $reading->side],
                $history->ofRow($planter, $row),
            ),
            'notes' => array_map(RemarkShape::note(...), $remarks->notesOfRow($planter, $row)),
            'photos' => array_map(RemarkShape::photo(...), $remarks->photosOfRow($planter, $row)),
            'fittings' => array_map(static fn (FittedPart $part): array => FittingShape::of($part) + [
                'season' => $planter->seasonAt($part->fittedAt),
                'removed_season' => $part->removedAt === null ? null : $planter->seasonAt($part->removedAt),
            ], LedgerQuery::ofRow($planter, $row)),
            'shim_moves' => array_map(static fn (MovedShims $move): array => FittingShape::shimMove($move) + ['season' => $planter->seasonAt($move->at)], LedgerQuery::shimMoves($planter, $row)),
            'carried' => array_map(self::carried(...), CarriedQuery::ofRow($planter, $row)),
            'forecast' => ForecastShape::of($forecast),
            'run_m' => round($forecast->log->total($row)->metres, 1),
        ]);
    }

    /** @return array<string, mixed> */
    private static function carried(Decision $decision): array
    {
        return [
            'check' => $decision->check_key->value, 'side' => $decision->side->value, 'season' => $decision->walk->season, 'by' => $decision->user->name,
            'reason' => $decision->reason?->value, 'words' => $decision->words, 'look_when' => $decision->look_when?->value,
            'look_acres' => $decision->look_acres === null ? null : (float) $decision->look_acres, 'happened_at' => $decision->happened_at->toIso8601ZuluString('millisecond'),
        ];
    }
}
