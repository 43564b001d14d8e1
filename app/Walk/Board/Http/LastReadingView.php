<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\LastReading;

final readonly class LastReadingView extends Schema
{
    public function __construct(
        #[Inlined] public AnswerView $answer,
        public int $season,
    ) {
    }

    public static function of(?LastReading $last): ?self
    {
        return $last === null ? null : new self(answer: AnswerView::of($last->stored), season: $last->season);
    }
}
