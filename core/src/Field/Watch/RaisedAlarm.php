<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** One row, or rows that share something, of which the driver should know. */
final readonly class RaisedAlarm
{
    /**
     * @param  int  $ms  of the monitor's clock
     * @param  non-empty-list<int>  $rows
     * @param  RowGroup|null  $group  what they share, where that is to blame
     * @param  1|-1  $direction
     * @param  float|null  $from  what was to be expected, in the unit of what is watched
     * @param  float|null  $to  what it is
     * @param  int  $seconds  of planting for which it has been going on
     */
    public function __construct(
        public int $ms,
        public AlarmKind $kind,
        public Watched $of,
        public array $rows,
        public ?RowGroup $group = null,
        public int $direction = -1,
        public ?float $from = null,
        public ?float $to = null,
        public int $seconds = 0,
    ) {
    }
}
