<?php

declare(strict_types=1);

namespace App\Walk\Board;

/** One reading of a place with the walk that it is of, and whether it holds. */
final readonly class HistoryReading
{
    /** @param  list<array{code: string, ref: float|null, unit: string|null}>  $reasons */
    public function __construct(
        public string $id,
        public string $check,
        public string $side,
        public string $result,
        public string $entry,
        public StoredAnswer $stored,
        public ?string $typed,
        public bool $confirmed,
        public string $takenAt,
        public string $takenBy,
        public int $season,
        public string $kind,
        public bool $holds,
        public ?string $verdict,
        public array $reasons,
    ) {
    }
}
