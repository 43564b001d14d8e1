<?php

declare(strict_types=1);

namespace App\Work;

/** What a plan is asked for besides how things stand. */
final readonly class WhatIf
{
    /**
     * @param  int  $morePeople  0 to 8, each with the hours of the one who has most
     * @param  int  $sooner  days by which planting starts earlier, 0 to 120
     * @param  int|null  $latePart  a part type that comes later than is known
     * @param  int  $lateBy  days; negative: it comes sooner, today at the soonest
     */
    public function __construct(
        public int $morePeople = 0,
        public int $sooner = 0,
        public ?int $latePart = null,
        public int $lateBy = 0,
    ) {
    }

    /** How things stand. */
    public function isNothing(): bool
    {
        return $this->morePeople === 0 && $this->sooner === 0 && $this->latePart === null;
    }
}
