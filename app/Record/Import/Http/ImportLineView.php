<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Api\Schema;

final readonly class ImportLineView extends Schema
{
    public function __construct(
        public int $line,
        public string $message,
        /** As the file has it */
        public string $text,
    ) {
    }
}
