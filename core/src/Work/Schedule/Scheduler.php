<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Makes a plan: first the latest of what is due is to be least late, then the last is to be done earliest. Small plans are
 * settled exactly; larger ones are built by three rules, the best is bettered by trying other orders, and how far it can be
 * from the best of all is told by a bound. Of plans that are as good the one that has more done early is kept.
 */
final readonly class Scheduler
{
    /** So many tasks that nobody has fixed are settled exactly. */
    private const EXACT = 10;

    /** Other orders are tried until so many tasks were placed; fewer where only what is early can still be bettered. */
    private const PLACINGS = 24_000;

    private const FEWER = 4_000;

    /**
     * @param  list<Task>  $tasks
     * @param  list<WorkHours>  $people
     *
     * @throws InvalidPlan
     */
    public static function plan(array $tasks, array $people, int $seed = 1): Schedule
    {
        $tasks = new Tasks($tasks, $people);
        $bound = LowerBound::of($tasks);
        $best = null;
        foreach (self::rules($tasks) as $rule) {
            $draft = self::byRule($tasks, $rule);
            $best = $best === null || $draft->value() < $best->value() ? $draft : $best;
        }
        $isExact = false;
        $free = count(array_filter($tasks->tasks, static fn (Task $task): bool => $task->heldAt === null));
        if ($free <= self::EXACT) {
            [$best, $isExact] = Exact::search($tasks, $best, $bound);
        }

        return CriticalChain::of(self::bettered($best, $isExact || $best->reaches($bound) ? self::FEWER : self::PLACINGS, $seed), $bound, $isExact);
    }

    /**
     * By the plain rule alone: what is due first, and of that what the most hangs on.
     *
     * @param  list<Task>  $tasks
     * @param  list<WorkHours>  $people
     *
     * @throws InvalidPlan
     */
    public static function plain(array $tasks, array $people): Schedule
    {
        $tasks = new Tasks($tasks, $people);

        return CriticalChain::of(self::byRule($tasks, self::rules($tasks)[0]), LowerBound::of($tasks), false);
    }

    /** @return non-empty-list<list<int|float>> by task, what is small goes first */
    private static function rules(Tasks $tasks): array
    {
        $due = array_map(static fn (Task $task): int => $task->due ?? PHP_INT_MAX, $tasks->tasks);
        $earliest = $due;
        foreach (array_reverse($tasks->inOrder) as $at) {
            foreach ($tasks->behind[$at] as $next) {
                $earliest[$at] = min($earliest[$at], $earliest[$next]);
            }
        }
        $sorted = $earliest;
        sort($sorted);
        $rank = array_flip(array_values(array_unique($sorted)));
        $ranked = array_map(static fn (int $of): int => $rank[$of], $earliest);

        return [
            array_map(static fn (int $first, int $tail): float => $first * 1e6 - $tail, $ranked, $tasks->tail),
            array_map(static fn (int $first, Task $task): float => $first * 1e6 - $task->minutes, $ranked, $tasks->tasks),
            array_map(static fn (int $first, Task $task): float => $first * 1e6 + $task->from, $ranked, $tasks->tasks),
        ];
    }

    /** @param  list<int|float>  $rule */
    private static function byRule(Tasks $tasks, array $rule): Draft
    {
        $draft = new Draft($tasks);
        $open = array_keys($tasks->tasks);
        usort($open, static fn (int $one, int $other): int => $rule[$one] <=> $rule[$other]);
        $open = array_diff_key(array_combine($open, $open), $draft->finish);
        while ($open !== []) {
            unset($open[self::placeNext($draft, $open)]);
        }

        return $draft;
    }

    /**
     * Whoever is free first takes the first task that can begin then, or else the one that can begin soonest.
     *
     * @param  non-empty-array<int, int>  $open
     * @return int the one that was placed
     */
    private static function placeNext(Draft $draft, array $open): int
    {
        $person = 0;
        foreach (array_keys($draft->tasks->people) as $other) {
            $person = $draft->freeFrom($other) < $draft->freeFrom($person) ? $other : $person;
        }
        $free = $draft->freeFrom($person);
        $soonest = [-1, PHP_INT_MAX, 0, $person];
        foreach ($open as $task) {
            if (! $draft->isReady($task)) {
                continue;
            }
            // Where nothing is for this person, others do the first.
            $soonest[0] = $soonest[0] < 0 ? $task : $soonest[0];
            foreach ($draft->tasks->crewsOf[$task] as $crew) {
                if (in_array($person, $draft->tasks->crews[$crew], true)) {
                    [$start, $finish] = $draft->earliest($task, $crew);
                    $soonest = $start < $soonest[1] ? [$task, $start, $finish, $crew] : $soonest;
                }
            }
            if ($soonest[1] <= $free) {
                break;
            }
        }
        [$task, $start, $finish, $crew] = $soonest;
        $start <= $free ? $draft->place($task, $crew, $start, $finish) : $draft->placeBest($task);

        return $task;
    }

    /** Tries other orders: one task earlier or later, and what has to come before it before it. */
    private static function bettered(Draft $best, int $placings, int $seed): Draft
    {
        $tasks = $best->tasks;
        $keys = array_flip(array_map(static fn (Task $task): string => $task->key, $tasks->tasks));
        $order = array_values(array_filter(array_map(static fn (Placed $placed): int => $keys[$placed->task], $best->placed), static fn (int $at): bool => $tasks->tasks[$at]->heldAt === null));
        $count = count($order);
        $random = new Randomizer(new Mt19937($seed));
        for ($tries = $count < 2 ? 0 : intdiv($placings, $count); $tries > 0; $tries--) {
            $other = $order;
            $moved = array_splice($other, $random->getInt(0, $count - 1), 1);
            array_splice($other, $random->getInt(0, $count - 1), 0, $moved);
            $draft = self::inOrder($tasks, $other);
            if ($draft->value() <= $best->value()) {
                [$best, $order] = [$draft, $other];
            }
        }

        return $best;
    }

    /** @param  list<int>  $order */
    private static function inOrder(Tasks $tasks, array $order): Draft
    {
        $draft = new Draft($tasks);
        $waiting = [];
        foreach ($order as $task) {
            $waiting[] = $task;
            do {
                $left = [];
                foreach ($waiting as $at) {
                    $draft->isReady($at) ? $draft->placeBest($at) : $left[] = $at;
                }
                $isFurther = count($left) < count($waiting);
                $waiting = $left;
            } while ($waiting !== [] && $isFurther);
        }

        return $draft;
    }
}
