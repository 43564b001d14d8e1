<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Work\PlannedWork;
use App\Work\WorkPlan;
use DateTimeInterface;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Work\Schedule\Breach;
use Ustrel\Core\Work\Schedule\ChainLink;
use Ustrel\Core\Work\Schedule\LinkCause;
use Ustrel\Core\Work\Schedule\Placed;

final readonly class WorkPlanView extends Schema
{
    public function __construct(
        /** @var list<string> Names; an empty one is somebody more */
        public array $people,
        /** The first day of planting of all that are planned */
        public ?Day $planting,
        /** @var list<PlannedPieceView> In the order in which they begin */
        public array $pieces,
        /** @var list<WorkPieceView> Whose parts nobody knows a day for, or all where nobody has hours */
        public array $undated,
        public ?string $ends,
        /** Minutes by which the latest of what planting waits for is late; negative where it is early */
        public ?int $late,
        /** There is no better plan */
        public bool $best,
        /** A better plan is less late by so many minutes at most */
        public int $late_over,
        /** A better plan ends earlier by so many minutes at most */
        public int $end_over,
        /** @var list<array{key: string, cause: LinkCause}> What settles the end, from the first on */
        public array $chain,
        /** Of all pieces */
        public int $minutes,
        /** Minutes that each job by itself would take longer */
        public int $saved,
        /** @var array{revision: int, by: string, made_at: DateTimeInterface}|null The plan that is kept; null where none is */
        public ?array $kept,
        /**
         * What would bring a late plan in time, each by itself
         *
         * @var list<array{
         *     people: int, // So many more
         *     part: int|null, // Part type that came sooner
         *     name: string,
         *     days: int, // By so many days
         * }>
         */
        public array $in_time,
        /** @var list<array{key: string, breach: Breach}> What broke the plan that is kept: this one is made anew */
        public array $broken,
    ) {
    }

    /**
     * @param  list<array{people: int, part: int|null, name: string, days: int}>  $inTime  what would bring it in time
     */
    public static function of(WorkPlan $plan, array $inTime = []): self
    {
        $schedule = $plan->schedule;
        $left = $schedule === null ? [...array_values($plan->pieces), ...$plan->undated] : $plan->undated;
        $at = $plan->clock(...);

        return new self(
            people: $plan->people,
            planting: $plan->planting,
            pieces: array_values(array_map(static fn (Placed $placed): PlannedPieceView => new PlannedPieceView(
                WorkPieceView::of($plan->pieces[$placed->task]),
                person: $placed->person, with: $placed->with, starts: $at($placed->start), ends: $at($placed->finish), hours: $plan->stretches($placed), slack: $schedule->slack[$placed->task] ?? 0, latest: $at($schedule->latest[$placed->task] ?? $placed->start),
                by_hand: isset($plan->byHand[$placed->task]), too_early: in_array($placed->task, $schedule->broken ?? [], true),
            ), $schedule->placed ?? [])),
            undated: array_map(WorkPieceView::of(...), $left),
            ends: $schedule === null || $schedule->placed === [] ? null : $at($schedule->end),
            late: $schedule?->late,
            best: $schedule->isBest ?? true,
            late_over: $schedule->lateOver ?? 0,
            end_over: $schedule->endOver ?? 0,
            chain: array_map(static fn (ChainLink $link): array => ['key' => $link->task, 'cause' => $link->cause], $schedule->chain ?? []),
            minutes: array_sum(array_map(static fn (PlannedWork $of): int => $of->piece->minutes, [...array_values($plan->pieces), ...$plan->undated])),
            kept: $plan->kept === null ? null : ['revision' => $plan->kept->revision, 'by' => $plan->kept->user->name, 'made_at' => $plan->kept->made_at],
            in_time: $inTime,
            broken: array_map(static fn (string $key, Breach $breach): array => ['key' => $key, 'breach' => $breach], array_keys($plan->breaches), $plan->breaches),
            saved: array_sum(array_map(static fn (PlannedWork $of): int => $of->piece->saved, [...array_values($plan->pieces), ...$plan->undated])),
        );
    }
}
