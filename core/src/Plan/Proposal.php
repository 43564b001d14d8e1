<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Walk\Place;

/** What to do about one finding. */
final readonly class Proposal
{
    /**
     * @param  Quantity|null  $to  what it is set to
     * @param  Quantity|null  $by  how far it is turned or moved: its size
     * @param  list<SlotPlace>  $parts  what goes in new; those that wear together, together
     * @param  int  $withoutSlot  parts besides that no slot is known for
     * @param  list<Job>  $jobs
     * @param  float  $minutes  of them, without what makes the planter safe
     */
    public function __construct(
        public Place $place,
        public Action $action,
        public Why $why,
        public ?Quantity $to,
        public ?Quantity $by,
        public array $parts,
        public int $withoutSlot,
        public array $jobs,
        public Cost $cost,
        public float $minutes,
        public Risk $risk,
        public ?LookAgain $lookAgain,
        /** Hydraulics, pressure or electrics: beyond basic service it is for qualified people. */
        public bool $isForQualified,
    ) {
    }

    /**
     * What is left to do of it; cost, minutes and risk are of the whole.
     *
     * @param  array<string, mixed>  $done  by key of a job
     */
    public function left(array $done): self
    {
        $left = array_values(array_filter($this->jobs, static fn (Job $job): bool => ! isset($done[$job->key()])));
        $parts = array_values(array_filter($this->parts, static fn (SlotPlace $part): bool => ! isset($done[Job::change($part)->key()])));

        return new self($this->place, $this->action, $this->why, $this->to, $this->by, $parts, $this->withoutSlot, $left, $this->cost, $this->minutes, $this->risk, $this->lookAgain, $this->isForQualified);
    }
}
