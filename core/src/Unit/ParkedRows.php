<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\Measure\Moment;

/** Rows that are up and do not plant: now, and what was up before. Rows may be parked for one crop and down for the next. */
final readonly class ParkedRows
{
    /**
     * @param  list<int>  $now
     * @param  list<array{until: string, rows: list<int>}>  $before  the oldest first; `until` is an ISO 8601 moment, which no longer belongs to it
     */
    public function __construct(public array $now, public array $before = [])
    {
    }

    /** @return list<int> */
    public function at(Moment $moment): array
    {
        foreach ($this->before as ['until' => $until, 'rows' => $rows]) {
            if ($moment->isBefore(Moment::of($until))) {
                return $rows;
            }
        }

        return $this->now;
    }

    /**
     * @param  list<int>  $rows  that are up from a moment on, which is later than all that is known; the same rows change nothing
     */
    public function from(Moment $moment, array $rows): self
    {
        return $rows === $this->now ? $this : new self($rows, [...$this->before, ['until' => $moment->toIso(), 'rows' => $this->now]]);
    }
}
