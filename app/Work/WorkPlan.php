<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Plan\KeptPlan;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Work\Schedule\Breach;
use Ustrel\Core\Work\Schedule\Placed;
use Ustrel\Core\Work\Schedule\Schedule;
use Ustrel\Core\Work\Schedule\WorkHours;

/** Who does what when, on one planter or on all of a workshop. */
final readonly class WorkPlan
{
    /**
     * @param  Day  $first  at whose midnight its instants begin
     * @param  list<string>  $people  by name
     * @param  list<WorkHours>  $hours  of each
     * @param  array<string, PlannedWork>  $pieces  by key
     * @param  list<PlannedWork>  $undated  whose parts nobody knows a day for
     * @param  Schedule|null  $schedule  null where nobody has hours
     * @param  Day|null  $planting  the first of the planters'
     * @param  KeptPlan|null  $kept  the plan that it is, or that was broken
     * @param  array<string, Breach>  $breaches  what broke that, by key of the piece
     * @param  array<string, true>  $byHand  pieces that somebody has set, by key
     */
    public function __construct(
        public Day $first,
        public array $people,
        public array $hours,
        public array $pieces,
        public array $undated,
        public ?Schedule $schedule,
        public ?Day $planting,
        public ?KeptPlan $kept = null,
        public array $breaches = [],
        public array $byHand = [],
    ) {
    }

    /** An instant as the shop's clock has it. */
    public function clock(int $instant): string
    {
        return sprintf('%sT%02d:%02d', $this->first->plusDays(intdiv($instant, 1440))->iso, intdiv($instant % 1440, 60), $instant % 60);
    }

    /**
     * When a piece is worked on, a stretch for each day.
     *
     * @return list<array{day: Day, from: int, to: int}> minutes of the day, 0 to 1440
     */
    public function stretches(Placed $placed): array
    {
        $hours = WorkHours::together(array_map(fn (int $person): WorkHours => $this->hours[$person], $placed->people()));

        return array_map(fn (array $of): array => ['day' => $this->first->plusDays($of[0]), 'from' => $of[1], 'to' => $of[2]], $hours?->stretches($placed->start, $placed->finish) ?? []);
    }

    /** The same, as it is kept now. */
    public function keptAs(KeptPlan $kept): self
    {
        return new self($this->first, $this->people, $this->hours, $this->pieces, $this->undated, $this->schedule, $this->planting, $kept, [], $this->byHand);
    }
}
