<?php

declare(strict_types=1);

namespace App\Queries;

use stdClass;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Result;

/** What holds at a place of a walk: the newest reading there, with its verdict. A row of the table cells. */
final readonly class CurrentReading
{
    private function __construct(
        public string $readingId,
        public Result $result,
        public ?Length $value,
        public Verdict $verdict,
        /** @var list<array{code: string, ref_mm: float|null}> */
        public array $reasons,
        public string $takenAt,
    ) {
    }

    public static function fromRow(stdClass $cell): self
    {
        return new self(
            $cell->reading_id,
            Result::from($cell->result),
            $cell->millimetres === null ? null : Length::ofMillimetres($cell->millimetres),
            Verdict::from($cell->verdict),
            json_decode($cell->reasons, true),
            $cell->taken_at,
        );
    }
}
