<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Board;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

final readonly class CellView extends Schema
{
    public function __construct(
        /** 0 for the planter as a whole */
        public int $row,
        public CheckKey $check,
        public Side $side,
        /** Null while unchecked */
        public ?CurrentReadingView $now,
        /** The newest earlier season's reading */
        public ?LastReadingView $last,
    ) {
    }

    public static function of(Place $place, Board $board): self
    {
        $key = $place->key();

        return new self(
            row: $place->row,
            check: $place->check,
            side: $place->side,
            now: CurrentReadingView::of($board->current[$key] ?? null),
            last: LastReadingView::of($board->last[$key] ?? null),
        );
    }
}
