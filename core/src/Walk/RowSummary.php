<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\Judging\Verdict;

/** One row of the ribbon: its worst verdict, and the life left of its worst part. */
final readonly class RowSummary
{
    private function __construct(
        public int $row,
        public Verdict $verdict,
        /** 0 to 1; null where nothing that wears was read. */
        public ?float $lifeLeft,
        /** How many of the row's places that are walked today were looked at. */
        public int $checked,
    ) {
    }

    /**
     * @param  list<Verdict>  $verdicts  of the places looked at
     * @param  list<float>  $lives  0 to 1, of the parts measured
     */
    public static function of(int $row, array $verdicts, array $lives, int $checked): self
    {
        return new self($row, Verdict::worst($verdicts), $lives === [] ? null : min($lives), $checked);
    }
}
