<?php

declare(strict_types=1);

namespace App\Today;

use Ustrel\Core\Measure\Day;

/** One thing to do, or to know, today. */
final readonly class TodayItem
{
    public function __construct(
        public TodayKind $kind,
        /** What to do, in words. */
        public string $title,
        /** What else to know, in words; empty where there is nothing. */
        public string $detail = '',
        /** The last day for it; null where it has none. */
        public ?Day $due = null,
        /** It should have been started before today. */
        public bool $isLate = false,
    ) {
    }
}
