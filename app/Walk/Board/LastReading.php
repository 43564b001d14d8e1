<?php

declare(strict_types=1);

namespace App\Walk\Board;

use LogicException;
use stdClass;
use Ustrel\Core\Spec\Answer;

/** What a place read in the newest earlier season in which it was read. */
final readonly class LastReading
{
    /** @param  stdClass  $row  with the columns check_key, value, state and chips; one of value and state is set */
    public function __construct(
        private stdClass $row,
        public int $season,
    ) {
    }

    public function answer(): Answer
    {
        return StoredAnswer::of($this->row) ?? throw new LogicException('A last reading has an answer');
    }

    /** @return array{value: float|null, state: string|null, chips: list<string>} the same as it is handed out */
    public function plain(): array
    {
        return StoredAnswer::plain($this->row);
    }
}
