<?php

declare(strict_types=1);

namespace App\Queries;

use Ustrel\Core\Measure\Length;

/** What a place read in the newest earlier season in which it was measured. */
final readonly class LastReading
{
    public function __construct(
        public Length $value,
        public int $season,
    ) {
    }
}
