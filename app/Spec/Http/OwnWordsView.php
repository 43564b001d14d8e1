<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;

final readonly class OwnWordsView extends Schema
{
    public function __construct(
        public string $name,
        public string $how,
    ) {
    }
}
