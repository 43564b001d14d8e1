<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Work\WorkEvent;
use App\Walk\Board\CurrentReading;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Walk\Place;

/** One thing to decide: what was found, what is proposed, what was decided. */
final readonly class Found
{
    public function __construct(
        public Place $place,
        /** Null where nothing was found, and the policy alone says so. */
        public ?CurrentReading $reading,
        public Proposal $proposal,
        /** The newest that holds; null where nobody has decided. */
        public ?Decision $decision,
        /** Carried over in an earlier walk, with the reason. */
        public ?Decision $before,
        /** @var array<string, WorkEvent> since it was decided: by key of each job that is done */
        public array $done = [],
        /** Since it was decided: somebody tried, and could not. */
        public ?WorkEvent $couldNot = null,
    ) {
    }

    /** Somebody has read something else there since it was decided. */
    public function isOvertaken(): bool
    {
        return $this->decision !== null && ($this->decision->reading_id !== $this->reading?->readingId || $this->decision->verdict !== ($this->reading->verdict ?? $this->decision->verdict));
    }

    /** To be decided: for the first time, or anew. */
    public function isOpen(): bool
    {
        return $this->decision === null || $this->isOvertaken() || $this->couldNot !== null;
    }
}
