<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Api\Schema;

final readonly class ImportProgressView extends Schema
{
    public function __construct(
        /** Read so far */
        public int $lines,
        /** Of the file */
        public float $share,
    ) {
    }
}
