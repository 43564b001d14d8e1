<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Schema;
use App\Walk\Http\NoteView;
use App\Walk\Http\PhotoView;
use App\Wear\Http\ForecastView;

final readonly class RowRecordView extends Schema
{
    public function __construct(
        public int $row,
        /** @var list<TimelineReadingView> Figures and trouble of all walks, newest first; what was sound without a figure is left out */
        public array $readings,
        /** @var list<NoteView> */
        public array $notes,
        /** @var list<PhotoView> */
        public array $photos,
        /** @var list<RowFittingView> What is fitted, and was, newest first */
        public array $fittings,
        /** @var list<RowShimMoveView> */
        public array $shim_moves,
        /** @var list<RowCarriedView> What was carried over, and why, newest first */
        public array $carried,
        public ForecastView $forecast,
        /** Furrow metres that the row has run altogether */
        public float $run_m,
    ) {
    }
}
