<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** The tasks of a plan and the people who do them, by index: looked up over and over while orders are tried. */
final readonly class Tasks
{
    /** @var non-empty-list<WorkHours> */
    public array $people;

    /** @var non-empty-list<non-empty-list<int>> who works together, by index of the people: first everybody alone */
    public array $crews;

    /** @var non-empty-list<WorkHours> of each crew, when all of it work */
    public array $hours;

    /** @var list<non-empty-list<int>> of each task, the crews that could do it */
    public array $crewsOf;

    /** @var list<list<int>> of each, the tasks that come before it */
    public array $before;

    /** @var list<list<int>> of each, those that come after it */
    public array $behind;

    /** @var list<list<int>> of each, row sides that it holds */
    public array $holds;

    /** @var list<int> of each, how long it takes until all that hangs on it is done, itself among it: minutes of work */
    public array $tail;

    /** @var list<int> all of them, each behind what it comes after */
    public array $inOrder;

    public int $sides;

    /**
     * @param  list<Task>  $tasks
     * @param  list<WorkHours>  $people
     *
     * @throws InvalidPlan
     */
    public function __construct(
        public array $tasks,
        array $people,
    ) {
        $this->people = $people !== [] ? $people : throw InvalidPlan::nobody();
        $index = $sides = $holds = $before = [];
        foreach ($tasks as $at => $task) {
            isset($index[$task->key]) && throw InvalidPlan::twice($task->key);
            $index[$task->key] = $at;
            $task->heldBy === null || isset($people[$task->heldBy]) || throw InvalidPlan::fixed($task->key);
        }
        $behind = array_fill(0, count($tasks), []);
        foreach ($tasks as $at => $task) {
            $holds[] = array_map(static function (string $side) use (&$sides): int {
                return $sides[$side] ??= count($sides);
            }, $task->holds);
            $before[] = array_map(static fn (string $key): int => $index[$key] ?? throw InvalidPlan::missing($task->key, $key), $task->after);
            foreach ($before[$at] as $other) {
                $behind[$other][] = $at;
            }
        }
        [$this->holds, $this->before, $this->behind, $this->sides] = [$holds, $before, $behind, count($sides)];
        $this->inOrder = $this->sorted();
        $tail = array_fill(0, count($tasks), 0);
        foreach (array_reverse($this->inOrder) as $at) {
            $tail[$at] = $tasks[$at]->minutes + ($behind[$at] === [] ? 0 : max(array_map(static fn (int $next): int => $tail[$next], $behind[$at])));
        }
        $this->tail = array_values($tail);
        [$this->crews, $this->hours, $this->crewsOf] = self::together($tasks, $this->people);
    }

    /** @param  list<int>  $members */
    public function crewOf(array $members): ?int
    {
        sort($members);
        $crew = array_search($members, $this->crews, true);

        return $crew === false ? null : $crew;
    }

    /**
     * Where fewer work at the same time than a task needs, it goes to as many as there are.
     *
     * @param  list<Task>  $tasks
     * @param  non-empty-list<WorkHours>  $people
     * @return array{non-empty-list<non-empty-list<int>>, non-empty-list<WorkHours>, list<non-empty-list<int>>}
     */
    private static function together(array $tasks, array $people): array
    {
        $crews = array_map(static fn (int $person): array => [$person], array_keys($people));
        $hours = $people;
        /** @var non-empty-array<int, non-empty-list<int>> $bySize */
        $bySize = [1 => array_keys($people)];
        $groups = $crews;
        for ($size = 2, $most = max([1, ...array_map(static fn (Task $task): int => $task->needs, $tasks)]); $size <= $most; $size++) {
            $larger = $could = [];
            foreach ($groups as $group) {
                for ($next = end($group) + 1; $next < count($people); $next++) {
                    $larger[] = $members = [...$group, $next];
                    $both = WorkHours::together(array_map(static fn (int $person): WorkHours => $people[$person], $members));
                    if ($both !== null) {
                        $could[] = count($crews);
                        [$crews[], $hours[]] = [$members, $both];
                    }
                }
            }
            $groups = $larger;
            $bySize[$size] = $could !== [] ? $could : $bySize[$size - 1];
        }

        return [$crews, $hours, array_map(static fn (Task $task): array => $bySize[$task->needs], $tasks)];
    }

    public function count(): int
    {
        return count($this->tasks);
    }

    /** @return list<int> */
    private function sorted(): array
    {
        $waits = array_map(count(...), $this->before);
        $ready = array_keys($waits, 0, true);
        $sorted = [];
        while ($ready !== []) {
            $at = array_shift($ready);
            $sorted[] = $at;
            foreach ($this->behind[$at] as $next) {
                if (--$waits[$next] === 0) {
                    $ready[] = $next;
                }
            }
        }

        return count($sorted) === count($this->tasks) ? $sorted
            : throw InvalidPlan::circle(array_map(fn (int $at): string => $this->tasks[$at]->key, array_keys(array_filter($waits, static fn (int $count): bool => $count > 0))));
    }
}
