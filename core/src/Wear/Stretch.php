<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** A span of time that a part spent on one row. */
final readonly class Stretch
{
    /**
     * @param  string  $from  ISO 8601 in UTC
     * @param  string|null  $until  ISO 8601 in UTC; null while it is there
     */
    public function __construct(
        public int $row,
        public string $from,
        public ?string $until = null,
    ) {
    }

    /** What was run of it by a moment. */
    public function use(UseLog $log, string $moment): RowUse
    {
        if ($moment <= $this->from) {
            return new RowUse;
        }
        $end = $this->until !== null && $this->until < $moment ? $this->until : $moment;

        return $log->before($this->row, $end)->minus($log->before($this->row, $this->from));
    }

    public function holds(string $moment): bool
    {
        return $moment >= $this->from && ($this->until === null || $moment < $this->until);
    }
}
