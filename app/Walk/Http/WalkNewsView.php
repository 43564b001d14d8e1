<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\Http\CellView;
use App\Walk\Board\WalkNews;
use Ustrel\Core\Walk\Place;

final readonly class WalkNewsView extends Schema
{
    public function __construct(
        #[Inlined] public WalkStateView $state,
        /** @var list<CellView> The places that have changed, as they are now */
        public array $cells,
    ) {
    }

    public static function of(WalkNews $news): self
    {
        return new self(WalkStateView::of($news), array_map(static fn (Place $place): CellView => CellView::of($place, $news->board), $news->places()));
    }
}
