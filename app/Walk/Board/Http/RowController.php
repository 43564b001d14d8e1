<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Parts\FittedPart;
use App\Parts\LedgerQuery;
use App\Parts\MovedShims;
use App\Plan\CarriedQuery;
use App\Walk\Board\HistoryQuery;
use App\Walk\Board\Remarks;
use App\Walk\Http\NoteView;
use App\Walk\Http\PhotoView;
use App\Wear\ForecastQuery;
use App\Wear\Http\ForecastView;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class RowController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/rows/{row}', operationId: 'row', tags: ['board'])]
    #[OA\Response(response: 200, description: 'The record of one row', content: new OA\JsonContent(ref: '#/components/schemas/RowRecord'))]
    public function __invoke(Planter $planter, int $row, HistoryQuery $history, Remarks $remarks, ForecastQuery $forecasts): JsonResponse
    {
        abort_unless($row >= 0 && $row <= $planter->row_count, 404);
        $forecast = $forecasts->of($planter->load('workshop'), $row);

        return new JsonResponse(new RowRecordView(
            row: $row,
            readings: array_map(TimelineReadingView::of(...), $history->ofRow($planter, $row)),
            notes: array_map(NoteView::of(...), $remarks->notesOfRow($planter, $row)),
            photos: array_map(PhotoView::of(...), $remarks->photosOfRow($planter, $row)),
            fittings: array_map(static fn (FittedPart $of): RowFittingView => RowFittingView::of($of, $planter), LedgerQuery::ofRow($planter, $row)),
            shim_moves: array_map(static fn (MovedShims $of): RowShimMoveView => RowShimMoveView::of($of, $planter), LedgerQuery::shimMoves($planter, $row)),
            carried: array_map(RowCarriedView::of(...), CarriedQuery::ofRow($planter, $row)),
            forecast: ForecastView::of($forecast),
            run_m: round($forecast->log->total($row)->metres, 1),
        ));
    }
}
