<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Face;
use App\Walk\Http\WalkView;
use App\Yard\Http\PlanterView;

final readonly class FaceView extends Schema
{
    public function __construct(
        public PlanterView $planter,
        /** Null where this season has no walk yet */
        public ?WalkView $walk,
        public int $season,
        /** @var list<RibbonRowView> */
        public array $ribbon,
        public RibbonRowView $whole_planter,
    ) {
    }

    public static function of(Face $face): self
    {
        return new self(
            PlanterView::of($face->planter), $face->walk === null ? null : WalkView::of($face->walk), $face->season,
            array_map(RibbonRowView::of(...), $face->ribbon), RibbonRowView::of($face->wholePlanter),
        );
    }
}
