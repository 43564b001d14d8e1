<?php

declare(strict_types=1);

namespace App\Walk\Board;

use stdClass;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Result;

/** What holds at a place of a walk: the newest reading there, or the part fitted since, with its verdict. */
final readonly class CurrentReading
{
    private function __construct(
        /** Null where the place was given another part, or set anew, since it was looked at. */
        public ?string $readingId,
        public Result $result,
        private stdClass $row,
        public Verdict $verdict,
        /** @var list<array{code: string, ref: float|null, unit: string|null, on?: string}> */
        public array $reasons,
        public string $takenAt,
    ) {
    }

    public static function fromRow(stdClass $cell): self
    {
        return new self(
            $cell->reading_id,
            Result::from($cell->result),
            $cell,
            Verdict::from($cell->verdict),
            self::reasons($cell->reasons),
            $cell->taken_at,
        );
    }

    /** @param  stdClass  $renewal  a row of the table renewals */
    public static function ofRenewal(stdClass $renewal): self
    {
        $renewal->state = null;
        $renewal->chips = '[]';

        return new self(
            null,
            Result::from($renewal->result),
            $renewal,
            Verdict::from($renewal->verdict),
            self::reasons($renewal->reasons),
            $renewal->happened_at,
        );
    }

    /** @return list<array{code: string, ref: float|null, unit: string|null, on?: string}> most places of a board say the same few things */
    private static function reasons(string $kept): array
    {
        static $read = [];

        return $read[$kept] ??= json_decode($kept, true);
    }

    /** Null where no figure was read and no state seen. */
    public function answer(): ?Answer
    {
        return StoredAnswer::of($this->row);
    }

    /** @return array{value: float|null, state: string|null, chips: list<string>} the same as it is handed out */
    public function plain(): array
    {
        return StoredAnswer::plain($this->row);
    }

    public function quantity(): ?Quantity
    {
        return $this->row->value === null ? null : $this->answer()?->quantity;
    }
}
