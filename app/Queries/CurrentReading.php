<?php

declare(strict_types=1);

namespace App\Queries;

use stdClass;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Result;

/** What holds at a place of a walk: the newest reading there, with its verdict. A row of the table cells. */
final readonly class CurrentReading
{
    private function __construct(
        public string $readingId,
        public Result $result,
        /** Null unless recorded. */
        public ?Answer $answer,
        public Verdict $verdict,
        /** @var list<array{code: string, ref: float|null, unit: string|null}> */
        public array $reasons,
        public string $takenAt,
    ) {
    }

    public static function fromRow(stdClass $cell): self
    {
        return new self(
            $cell->reading_id,
            Result::from($cell->result),
            StoredAnswer::of($cell),
            Verdict::from($cell->verdict),
            json_decode($cell->reasons, true),
            $cell->taken_at,
        );
    }

    public function quantity(): ?Quantity
    {
        return $this->answer?->quantity;
    }
}
