<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Api\Schema;

final readonly class LeftView extends Schema
{
    public function __construct(
        public ?float $p10,
        /** By the nominal life where the record is too thin */
        public ?float $p50,
        public ?float $p90,
    ) {
    }
}
