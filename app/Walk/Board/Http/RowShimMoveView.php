<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Planter;
use App\Parts\Http\ShimMoveView;
use App\Parts\MovedShims;

final readonly class RowShimMoveView extends Schema
{
    public function __construct(
        #[Inlined] public ShimMoveView $shimMove,
        public int $season,
    ) {
    }

    public static function of(MovedShims $of, Planter $planter): self
    {
        return new self(ShimMoveView::of($of), $planter->seasonAt($of->at));
    }
}
