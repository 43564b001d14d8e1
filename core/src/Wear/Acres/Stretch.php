<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use Ustrel\Core\Measure\Moment;

/** A span of time that a part spent on one row. */
final readonly class Stretch
{
    /** @param  Moment|null  $until  null while it is there */
    public function __construct(
        public int $row,
        public Moment $from,
        public ?Moment $until = null,
    ) {
    }

    /** What was run of it by a moment. */
    public function use(UseLog $log, Moment $moment): RowUse
    {
        if (! $moment->isAfter($this->from)) {
            return new RowUse;
        }
        $end = $this->until === null ? $moment : $moment->earlier($this->until);

        return $log->before($this->row, $end)->minus($log->before($this->row, $this->from));
    }

    public function holds(Moment $moment): bool
    {
        return ! $moment->isBefore($this->from) && ($this->until === null || $moment->isBefore($this->until));
    }
}
