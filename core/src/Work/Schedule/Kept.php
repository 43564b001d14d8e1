<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** A plan that is kept, held against how things stand: it goes on as it is for as long as nothing breaks it. */
final readonly class Kept
{
    /**
     * @param  list<Task>  $tasks  of now
     * @param  list<WorkHours>  $people
     * @param  array<string, array{list<int|null>, int}>  $placed  by task: who does it, null for somebody who is gone, and when it begins
     * @param  int  $now  as an instant of the plan
     * @param  array<string, true>  $begun  tasks at which somebody is
     * @return array<string, Breach> by task, the first that is found of each
     *
     * @throws InvalidPlan
     */
    public static function breaches(array $tasks, array $people, array $placed, int $now, array $begun = []): array
    {
        $all = new Tasks($tasks, $people);
        $breaches = $free = $sideFree = $finish = [];
        foreach (self::inOrder($all, $placed) as $at) {
            $task = $all->tasks[$at];
            [$people, $start] = $placed[$task->key] ?? [[], null];
            if ($start === null) {
                $breaches[$task->key] = Breach::Added;

                continue;
            }
            if ($start < 0 && ! isset($begun[$task->key])) {
                $breaches[$task->key] = Breach::Overdue;

                continue;
            }
            $crew = in_array(null, $people, true) ? null : $all->crewOf($people);
            if (count($people) !== count($all->crews[$all->crewsOf[$at][0]])) {
                $breaches[$task->key] = Breach::Together;

                continue;
            }
            if ($crew === null || ($start >= 0 && $all->hours[$crew]->next($start) !== $start)) {
                $breaches[$task->key] = Breach::Hours;

                continue;
            }
            $start = self::begins($all->hours[$crew], $start);
            $end = $finish[$at] = $all->hours[$crew]->finish($start, $task->minutes);
            $breach = match (true) {
                $end <= $now && ! isset($begun[$task->key]) => Breach::Overdue,
                // What was there when it was planned to begin is there.
                $task->from > max($start, $now) => Breach::Arrival,
                max(array_map(static fn (int $person): int => $free[$person] ?? 0, $all->crews[$crew])) > $start => Breach::Person,
                max([0, ...array_map(static fn (int $side): int => $sideFree[$side] ?? 0, $all->holds[$at])]) > $start => Breach::Row,
                max([0, ...array_map(static fn (int $other): int => $finish[$other] ?? 0, $all->before[$at])]) > $start => Breach::After,
                default => null,
            };
            if ($breach !== null) {
                $breaches[$task->key] = $breach;
            }
            foreach ($all->crews[$crew] as $person) {
                $free[$person] = max($free[$person] ?? 0, $end);
            }
            foreach ($all->holds[$at] as $side) {
                $sideFree[$side] = max($sideFree[$side] ?? 0, $end);
            }
        }

        return $breaches;
    }

    /**
     * The plan as it is kept, of tasks that nothing breaks.
     *
     * @param  list<Task>  $tasks
     * @param  list<WorkHours>  $people
     * @param  array<string, array{list<int>, int}>  $placed  by task: who does it, and when it begins
     *
     * @throws InvalidPlan
     */
    public static function schedule(array $tasks, array $people, array $placed): Schedule
    {
        $all = new Tasks($tasks, $people);
        $draft = new Draft($all);
        foreach (self::inOrder($all, $placed) as $at) {
            if (isset($draft->finish[$at])) {
                continue;
            }
            [$people, $start] = $placed[$all->tasks[$at]->key];
            $crew = $all->crewOf($people) ?? $all->crewsOf[$at][0];
            $start = self::begins($all->hours[$crew], $start);
            $draft->place($at, $crew, $start, $all->hours[$crew]->finish($start, $all->tasks[$at]->minutes));
        }

        return CriticalChain::of($draft, LowerBound::of($all), false);
    }

    /** What was begun on a day before goes on with the day. */
    private static function begins(WorkHours $hours, int $start): int
    {
        return $start < 0 ? $hours->next(0) : $start;
    }

    /**
     * @param  array<string, array{list<int|null>, int}>  $placed
     * @return list<int> by when they begin; what has no place last
     */
    private static function inOrder(Tasks $tasks, array $placed): array
    {
        $order = array_keys($tasks->tasks);
        $start = array_map(static fn (Task $task): int => $placed[$task->key][1] ?? PHP_INT_MAX, $tasks->tasks);
        usort($order, static fn (int $one, int $other): int => [$start[$one], $one] <=> [$start[$other], $other]);

        return $order;
    }
}
