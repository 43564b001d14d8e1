<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Measure\Day;

/** By when one thing has to be ready, and when it has to be begun for that. */
final readonly class Deadline
{
    /** Days ahead within which something due is near. */
    private const NEAR_DAYS = 7;

    public function __construct(
        /** Of the Step enum, or of the shop's own. */
        public string $key,
        /** The day by whose end it has to be done. */
        public Day $due,
        /** The last day on which it can be begun; null where nobody has hours for it. */
        public ?Day $latestStart,
        public bool $isDone,
        /** It ought to have been begun before today. */
        public bool $isLate,
        /** No record tells: somebody says that it is done. */
        public bool $isByHand,
    ) {
    }

    /** It is late, has to be begun by today, or is due within a week; nothing that is done is near. */
    public function isNear(Day $today): bool
    {
        return ! $this->isDone && ($this->isLate || ! $today->isBefore($this->latestStart ?? $this->due) || $today->daysUntil($this->due) <= self::NEAR_DAYS);
    }
}
