<?php

declare(strict_types=1);

namespace App\Walk\Board;

use Ustrel\Core\Walk\NoteKind;
use Ustrel\Core\Walk\Place;

/** A note or a photo that stands beside the readings of a place. */
final readonly class Remark
{
    public function __construct(
        public string $id,
        public string $walk,
        public Place $place,
        public int $season,
        public string $takenAt,
        public string $takenBy,
        /** Of a note. */
        public ?NoteKind $kind = null,
        public string $text = '',
        /** Pixels of a photo. */
        public int $width = 0,
        public int $height = 0,
    ) {
    }
}
