<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;

final readonly class BadCellView extends Schema
{
    public function __construct(
        /** From 1 at the first seed of the run */
        public int $cell,
        public int $wrong,
        public int $turns,
    ) {
    }
}
