<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** A schedule while it is made: tasks go to people one behind the other, each as early as it can begin behind those placed before. */
final class Draft
{
    /** @var array<int, int> by person, when they are free */
    private array $free;

    /** @var array<int, int> by row side, when it is free */
    private array $sideFree;

    /** @var array<int, int> by task that is placed */
    public array $finish = [];

    /** @var list<Placed> */
    public array $placed = [];

    /** How much later than due the latest of what is due is done; null where nothing is. */
    public ?int $late = null;

    /** When the last is done. */
    public int $end = 0;

    /** All times at which something is done together: work that can be done early is not put off. */
    private int $sum = 0;

    private bool $hasHeld = false;

    /** @var list<list<array{int, int}>> by person, what is held by hand */
    private array $heldOf;

    /** @var list<list<array{int, int}>> by row side */
    private array $heldOn;

    public function __construct(public readonly Tasks $tasks)
    {
        $this->free = array_fill(0, count($tasks->people), 0);
        $this->sideFree = array_fill(0, $tasks->sides, 0);
        $heldOf = array_fill(0, count($tasks->people), []);
        $heldOn = array_fill(0, $tasks->sides, []);
        foreach ($tasks->tasks as $at => $task) {
            if ($task->heldAt === null || $task->heldBy === null) {
                continue;
            }
            [$crew, $start, $finish] = self::held($tasks, $at, $task->heldBy, $task->heldAt, $heldOf);
            foreach ($tasks->crews[$crew] as $person) {
                $heldOf[$person][] = [$start, $finish];
            }
            foreach ($tasks->holds[$at] as $side) {
                $heldOn[$side][] = [$start, $finish];
            }
            $this->hasHeld = true;
            $this->keep($at, $crew, $start, $finish);
        }
        [$this->heldOf, $this->heldOn] = [$heldOf, $heldOn];
    }

    /**
     * Who does what is held: whoever it is held by, with others who work then and do nothing else that is held.
     *
     * @param  list<list<array{int, int}>>  $heldOf  by person, what is held so far
     * @return array{int, int, int} the crew, when it begins and when it is done
     */
    private static function held(Tasks $tasks, int $task, int $person, int $at, array $heldOf): array
    {
        $best = [PHP_INT_MAX, 0, $person];
        foreach ($tasks->crewsOf[$task] as $crew) {
            if (in_array($person, $tasks->crews[$crew], true)) {
                $start = $tasks->hours[$crew]->next($at);
                $finish = $tasks->hours[$crew]->finish($start, $tasks->tasks[$task]->minutes);
                $beside = array_merge(...array_map(static fn (int $of): array => $of === $person ? [] : $heldOf[$of], $tasks->crews[$crew]));
                $best = min($best, [$start, count(array_filter($beside, static fn (array $other): bool => $start < $other[1] && $finish > $other[0])), $crew]);
            }
        }
        $hours = $tasks->hours[$best[2]];

        return [$best[2], $hours->next($at), $hours->finish($hours->next($at), $tasks->tasks[$task]->minutes)];
    }

    public function isReady(int $task): bool
    {
        foreach ($this->tasks->before[$task] as $other) {
            if (! isset($this->finish[$other])) {
                return false;
            }
        }

        return ! isset($this->finish[$task]);
    }

    /** @return array{int, int} when a crew would begin a task that is ready, and be done with it */
    public function earliest(int $task, int $crew): array
    {
        $of = $this->tasks->tasks[$task];
        $hours = $this->tasks->hours[$crew];
        $start = $of->from;
        foreach ($this->tasks->crews[$crew] as $person) {
            $start = max($start, $this->free[$person]);
        }
        foreach ($this->tasks->before[$task] as $other) {
            $start = max($start, $this->finish[$other]);
        }
        foreach ($this->tasks->holds[$task] as $side) {
            $start = max($start, $this->sideFree[$side]);
        }
        $start = $hours->next($start);
        $finish = $hours->finish($start, $of->minutes);
        foreach ($this->hasHeld ? $this->heldFor($task, $crew) : [] as [$from, $until]) {
            if ($start < $until && $finish > $from) {
                $start = $hours->next($until);
                $finish = $hours->finish($start, $of->minutes);
            }
        }

        return [$start, $finish];
    }

    /** @return list<array{int, int}> what is held by hand that a task of a crew could get in the way of, in its order */
    private function heldFor(int $task, int $crew): array
    {
        $held = array_merge(...array_map(fn (int $person): array => $this->heldOf[$person], $this->tasks->crews[$crew]), ...array_map(fn (int $side): array => $this->heldOn[$side], $this->tasks->holds[$task]));
        sort($held);

        return $held;
    }

    /** When a person could begin anything. */
    public function freeFrom(int $person): int
    {
        return $this->tasks->people[$person]->next($this->free[$person]);
    }

    public function place(int $task, int $crew, int $start, int $finish): void
    {
        foreach ($this->tasks->crews[$crew] as $person) {
            $this->free[$person] = $finish;
        }
        foreach ($this->tasks->holds[$task] as $side) {
            $this->sideFree[$side] = max($this->sideFree[$side], $finish);
        }
        $this->keep($task, $crew, $start, $finish);
    }

    /** Gives it to whoever is done with it first. */
    public function placeBest(int $task): void
    {
        [$crew, $begins, $ends] = [0, 0, PHP_INT_MAX];
        foreach ($this->tasks->crewsOf[$task] as $of) {
            [$start, $finish] = $this->earliest($task, $of);
            [$crew, $begins, $ends] = $finish < $ends ? [$of, $start, $finish] : [$crew, $begins, $ends];
        }
        $this->place($task, $crew, $begins, $ends);
    }

    private function keep(int $task, int $crew, int $start, int $finish): void
    {
        $of = $this->tasks->tasks[$task];
        $this->finish[$task] = $finish;
        $this->placed[] = self::placed($of, $this->tasks->crews[$crew], $start, $finish);
        $this->end = max($this->end, $finish);
        $this->sum += $finish;
        if ($of->due !== null) {
            $this->late = max($this->late ?? PHP_INT_MIN, $finish - $of->due);
        }
    }

    /** @param  non-empty-list<int>  $crew */
    private static function placed(Task $task, array $crew, int $start, int $finish): Placed
    {
        // Who was set by hand leads.
        $lead = $task->heldBy ?? $crew[0];

        return new Placed($task->key, $lead, $start, $finish, array_values(array_diff($crew, [$lead])));
    }

    /** @return array{int, int} what is to be small: how late the latest is, then when the last is done */
    public function goal(): array
    {
        return [$this->late ?? PHP_INT_MIN, $this->end];
    }

    /** @return array{int, int, int} and then how early all of it is done */
    public function value(): array
    {
        return [...$this->goal(), $this->sum];
    }

    /** Nothing is less late, or done earlier, than this. */
    public function reaches(LowerBound $bound): bool
    {
        return $this->goal() === [$bound->late, $bound->end];
    }

    /**
     * What is free when, for telling whether one draft with the same tasks placed is nowhere behind another.
     *
     * @return list<int>
     */
    public function face(): array
    {
        $face = [...$this->free, ...$this->sideFree, ...$this->goal()];
        foreach ($this->tasks->behind as $task => $behind) {
            if (isset($this->finish[$task]) && array_diff_key(array_flip($behind), $this->finish) !== []) {
                $face[] = $this->finish[$task];
            }
        }

        return $face;
    }
}
