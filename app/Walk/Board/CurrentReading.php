<?php

declare(strict_types=1);

namespace App\Walk\Board;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Result;

/** What holds at a place of a walk: the newest reading there, or the part fitted since, with its verdict. */
final readonly class CurrentReading
{
    /**
     * @param  string|null  $readingId  null where the place was given another part, or set anew, since it was looked at
     * @param  string  $reasons  a JSON list
     */
    public function __construct(
        public ?string $readingId,
        public Result $result,
        public StoredAnswer $stored,
        public Verdict $verdict,
        private string $reasons,
        public string $takenAt,
    ) {
    }

    /** @return list<array{code: string, ref: float|null, unit: string|null, on?: string}> */
    public function reasons(): array
    {
        // Most places of a board say the same few things.
        static $read = [];

        return $read[$this->reasons] ??= json_decode($this->reasons, true);
    }

    /** Null where no figure was read and no state seen. */
    public function answer(): ?Answer
    {
        return $this->stored->answer();
    }

    public function quantity(): ?Quantity
    {
        return $this->stored->value === null ? null : $this->answer()?->quantity;
    }
}
