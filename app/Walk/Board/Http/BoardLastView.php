<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;

final readonly class BoardLastView extends Schema
{
    public function __construct(
        public int $season,
        #[Inlined] public BoardAnswerView $answer,
    ) {
    }
}
