<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Api\Schema;

/** Rows that ran only a share of it. */
final readonly class ShutOffView extends Schema
{
    public function __construct(
        /** @var list<int> */
        public array $rows,
        /** That they ran, 0 to 1; 0 where they were shut off throughout */
        public float $share,
    ) {
    }
}
