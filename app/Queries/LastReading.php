<?php

declare(strict_types=1);

namespace App\Queries;

use Ustrel\Core\Spec\Answer;

/** What a place read in the newest earlier season in which it was read. */
final readonly class LastReading
{
    public function __construct(
        public Answer $answer,
        public int $season,
    ) {
    }
}
