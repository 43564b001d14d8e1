<?php

declare(strict_types=1);

namespace App\Walk\Board;

use LogicException;
use Ustrel\Core\Spec\Judging\Answer;

/** What a place read in the newest earlier season in which it was read. */
final readonly class LastReading
{
    public function __construct(
        public StoredAnswer $stored,
        public int $season,
    ) {
    }

    public function answer(): Answer
    {
        return $this->stored->answer() ?? throw new LogicException('A last reading has an answer');
    }
}
