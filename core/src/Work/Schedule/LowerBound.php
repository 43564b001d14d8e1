<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** What no schedule of these tasks can be better than: by what has to follow what, by the hours of all people, by each row side. */
final readonly class LowerBound
{
    /** So many beginnings are looked at for what has to be done after them. */
    private const MOST_BEGINNINGS = 24;

    private function __construct(
        /** How late the latest is at least; the least there is where nothing is due. */
        public int $late,
        /** When the last is done at the earliest. */
        public int $end,
    ) {
    }

    public static function of(Tasks $tasks): self
    {
        $start = $finish = [];
        foreach ($tasks->inOrder as $at) {
            $task = $tasks->tasks[$at];
            $begins = $task->heldAt ?? max([$task->from, ...array_map(static fn (int $other): int => $finish[$other], $tasks->before[$at])]);
            $crews = array_filter($tasks->crewsOf[$at], static fn (int $crew): bool => $task->heldBy === null || in_array($task->heldBy, $tasks->crews[$crew], true)) ?: [(int) $task->heldBy];
            $start[$at] = min(array_map(static fn (int $crew): int => $tasks->hours[$crew]->next($begins), $crews));
            $finish[$at] = min(array_map(static fn (int $crew): int => $tasks->hours[$crew]->finish($tasks->hours[$crew]->next($begins), $task->minutes), $crews));
        }
        $late = PHP_INT_MIN;
        foreach ($tasks->tasks as $at => $task) {
            $late = $task->due === null ? $late : max($late, $finish[$at] - $task->due);
        }
        $end = $finish === [] ? 0 : max($finish);
        $dues = array_values(array_unique(array_filter(array_map(static fn (Task $task): ?int => $task->due, $tasks->tasks), is_int(...))));
        $longest = [WorkHours::longest($tasks->people)];
        foreach ([[array_keys($tasks->tasks), $tasks->people, true], ...array_map(static fn (array $on): array => [$on, $longest, false], self::bySide($tasks))] as [$among, $people, $isOfAll]) {
            $end = max($end, self::finish($tasks, $among, $start, $people, $isOfAll));
            foreach ($dues as $due) {
                $dueThen = array_values(array_filter($among, static fn (int $at): bool => $tasks->tasks[$at]->due !== null && $tasks->tasks[$at]->due <= $due));
                $late = max($late, self::finish($tasks, $dueThen, $start, $people, $isOfAll) - $due);
            }
        }

        return new self($late, $end);
    }

    /** @return list<list<int>> the tasks on each row side */
    private static function bySide(Tasks $tasks): array
    {
        $on = [];
        foreach ($tasks->holds as $at => $sides) {
            foreach ($sides as $side) {
                $on[$side][] = $at;
            }
        }

        return array_values($on);
    }

    /**
     * When tasks can be done at the earliest that cannot begin before a time: the largest over all such times.
     *
     * @param  list<int>  $among
     * @param  array<int, int>  $start
     * @param  non-empty-list<WorkHours>  $people
     * @param  bool  $isOfAll  what takes two people takes the hours of both
     */
    private static function finish(Tasks $tasks, array $among, array $start, array $people, bool $isOfAll): int
    {
        usort($among, static fn (int $one, int $other): int => $start[$other] <=> $start[$one]);
        $minutes = $end = 0;
        $looked = 0;
        foreach ($among as $index => $at) {
            $minutes += $tasks->tasks[$at]->minutes * ($isOfAll ? count($tasks->crews[$tasks->crewsOf[$at][0]]) : 1);
            $isLastOfThem = ! isset($among[$index + 1]) || $start[$among[$index + 1]] !== $start[$at];
            if ($isLastOfThem && ($looked++ < self::MOST_BEGINNINGS || ! isset($among[$index + 1]))) {
                $end = max($end, self::worked($people, $start[$at], $minutes));
            }
        }

        return $end;
    }

    /**
     * When all together have worked so many minutes since an instant.
     *
     * @param  non-empty-list<WorkHours>  $people
     */
    private static function worked(array $people, int $since, int $minutes): int
    {
        $before = array_sum(array_map(static fn (WorkHours $hours): int => $hours->until($since), $people));
        [$low, $high] = [$since, $people[0]->finish($people[0]->next($since), $minutes)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $done = array_sum(array_map(static fn (WorkHours $hours): int => $hours->until($middle), $people)) - $before;
            [$low, $high] = $done >= $minutes ? [$low, $middle] : [$middle + 1, $high];
        }

        return $low;
    }
}
