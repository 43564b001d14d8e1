<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/**
 * Makes of what was decided the pieces that a plan is made of: on each row, what needs the same things off is one piece, and
 * what shares nothing is another. What makes the planter safe comes first, once.
 */
final readonly class WorkList
{
    /** The piece that makes the planter safe. */
    public const SAFE = 'safe';

    /**
     * @param  list<ToDo>  $todos
     * @param  array<string, array{string, int}>  $seized  what a seized joint took when a job was done last, by key of the job: which joint, and minutes
     * @param  list<OwnWork>  $own  that comes of no finding
     * @return list<Piece>
     *
     * @throws InvalidPlan where what has to come before what goes round in a circle
     */
    public static function pieces(array $todos, JobBook $book, JobOrder $order, array $seized = [], array $own = []): array
    {
        /** @var array<string, array{Job, list<ToDo>}> $jobs a job that two need is done once */
        $jobs = [];
        foreach ($todos as $todo) {
            foreach ($todo->jobs as $job) {
                $jobs[$job->key()] = [$job, [...$jobs[$job->key()][1] ?? [], $todo]];
            }
        }
        $groups = self::groups($jobs, $book);
        $groupOf = [];
        foreach ($groups as $key => $of) {
            foreach ($of as $job) {
                $groupOf[$job] = $key;
            }
        }
        $after = self::after($jobs, $groupOf, $order);
        $pieces = [];
        $isSafe = false;
        foreach ($groups as $key => $of) {
            $ofPiece = array_map(static fn (string $job): Job => $jobs[$job][0], $of);
            $needed = array_merge(...array_map(static fn (string $job): array => $jobs[$job][1], $of));
            $minutes = $book->minutesOnRows($ofPiece);
            $needsSafety = array_filter($ofPiece, $book->needsSafety(...)) !== [];
            $isSafe = $isSafe || $needsSafety;
            $pieces[] = new Piece(
                $key, $ofPiece[0]->row, $ofPiece, array_values(array_unique(array_map(static fn (ToDo $todo): string => $todo->key, $needed))),
                max(1, (int) round($minutes + self::seized($ofPiece, $seized))),
                (int) round(array_sum(array_map(static fn (Job $job): float => $book->minutesOnRows([$job]), $ofPiece)) - $minutes),
                max([0, ...array_map(static fn (ToDo $todo): int => $todo->from, $needed)]),
                [...$needsSafety && $book->minutesOnPlanter() > 0 ? [self::SAFE] : [], ...array_keys($after[$key] ?? [])],
                array_filter($needed, static fn (ToDo $todo): bool => $todo->blocks) !== [],
                people: max(array_map(static fn (Job $job): int => $book->kit($job)->people, $ofPiece)),
            );
        }
        $hasSafe = ($isSafe || $own !== []) && $book->minutesOnPlanter() > 0;
        foreach ($own as $work) {
            $pieces[] = new Piece($work->key(), $work->target->row, [], [], $work->minutes, 0, 0, $hasSafe ? [self::SAFE] : [], $work->blocks, $work);
        }
        if ($hasSafe) {
            array_unshift($pieces, new Piece(self::SAFE, 0, [], [], max(1, (int) round($book->minutesOnPlanter())), 0, 0, [], false));
        }

        return $pieces;
    }

    /**
     * A joint that seized adds what it took last time, once, however many jobs need it open.
     *
     * @param  list<Job>  $jobs
     * @param  array<string, array{string, int}>  $seized
     */
    private static function seized(array $jobs, array $seized): int
    {
        $joints = [];
        foreach ($jobs as $job) {
            [$joint, $minutes] = $seized[$job->key()] ?? ['', 0];
            $joints[$joint] = $minutes;
        }

        return array_sum($joints);
    }

    /**
     * Jobs of one row that need the same thing off belong together, and so does what one decision asks for on it.
     *
     * @param  array<string, array{Job, list<ToDo>}>  $jobs
     * @return array<string, non-empty-list<string>> keys of jobs, by that of the first
     */
    private static function groups(array $jobs, JobBook $book): array
    {
        $group = array_combine(array_keys($jobs), array_keys($jobs));
        $root = static function (string $of) use (&$group): string {
            while ($group[$of] !== $of) {
                $of = $group[$of] = $group[$group[$of]];
            }

            return $of;
        };
        $first = [];
        foreach ($jobs as $key => [$job, $todos]) {
            $shares = $job->row === 0 ? [] : array_keys($book->access($job));
            array_push($shares, ...array_map(static fn (ToDo $todo): string => "{$job->row} {$todo->key}", $todos));
            foreach ($shares as $share) {
                $first[$share] ??= $key;
                $group[$root($key)] = $root($first[$share]);
            }
        }
        $groups = [];
        foreach (array_keys($jobs) as $job) {
            $groups[$root($job)][] = $job;
        }

        return array_combine(array_map(static fn (array $of): string => $of[0], $groups), $groups);
    }

    /**
     * @param  array<string, array{Job, list<ToDo>}>  $jobs
     * @param  array<string, string>  $groupOf
     * @return array<string, array<string, true>> groups that come before it, by group
     */
    private static function after(array $jobs, array $groupOf, JobOrder $order): array
    {
        $after = [];
        foreach ($order->pairs(array_map(static fn (array $of): Job => $of[0], $jobs)) as [$first, $then]) {
            if ($groupOf[$first] !== $groupOf[$then]) {
                $after[$groupOf[$then]][$groupOf[$first]] = true;
            }
        }

        return $after;
    }
}
