<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Places;

use Ustrel\Core\Measure\Moment;

/** How long a meter was where a move had put it. */
final readonly class MeterStay
{
    public function __construct(
        public MeterPlacement $move,
        /** When it was put elsewhere; null where it still is there. */
        public ?Moment $until,
    ) {
    }

    /** Whether a meter was there at that instant: from when it was put there until just before it was put elsewhere. */
    public function covers(Moment $at): bool
    {
        return ! $this->move->at->isAfter($at) && ($this->until === null || $this->until->isAfter($at));
    }

    /** Whether two meters were in one row at once. */
    public function clashes(self $other): bool
    {
        return $this->move->row !== null && $this->move->row === $other->move->row && $this->move->meter !== $other->move->meter
            && ($this->until === null || $this->until->isAfter($other->move->at)) && ($other->until === null || $other->until->isAfter($this->move->at));
    }
}
