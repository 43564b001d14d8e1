<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** What one moment brought. */
final readonly class WatchNews
{
    /**
     * @param  list<RaisedAlarm>  $alarms
     * @param  list<array{Watched, int}>  $back  rows that are as they were again, by what is watched
     */
    public function __construct(
        public array $alarms = [],
        public array $back = [],
        public ?PassSummary $pass = null,
    ) {
    }
}
