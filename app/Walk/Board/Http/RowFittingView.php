<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Planter;
use App\Parts\FittedPart;
use App\Parts\Http\FittingView;

final readonly class RowFittingView extends Schema
{
    public function __construct(
        #[Inlined] public FittingView $fitting,
        /** In which it was fitted */
        public int $season,
        public ?int $removed_season,
    ) {
    }

    public static function of(FittedPart $of, Planter $planter): self
    {
        return new self(FittingView::of($of), $planter->seasonAt($of->fittedAt), $of->removedAt === null ? null : $planter->seasonAt($of->removedAt));
    }
}
