<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use App\Walk\Board\Board;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/** A place of a board, which has thousands: only what there is to say. */
final readonly class BoardCellView extends Schema
{
    public function __construct(
        /** 0 for the planter as a whole */
        public int $row,
        public CheckKey $check,
        public Side $side,
        /** Missing while unchecked */
        #[OmittedWhenNull] public ?BoardReadingView $now,
        /** The newest earlier season's reading, where this walk has not found the place sound */
        #[OmittedWhenNull] public ?BoardLastView $last,
    ) {
    }

    public static function of(Place $place, Board $board): self
    {
        $key = $place->key();
        $now = $board->current[$key] ?? null;
        $last = $board->last[$key] ?? null;

        return new self(
            $place->row, $place->check, $place->side,
            $now === null ? null : BoardReadingView::of($now),
            $last === null ? null : new BoardLastView($last->season, BoardAnswerView::of($last->stored)),
        );
    }
}
