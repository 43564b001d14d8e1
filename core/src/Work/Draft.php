<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

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
            $start = $tasks->people[$task->heldBy]->next($task->heldAt);
            $finish = $tasks->people[$task->heldBy]->finish($start, $task->minutes);
            $heldOf[$task->heldBy][] = [$start, $finish];
            foreach ($tasks->holds[$at] as $side) {
                $heldOn[$side][] = [$start, $finish];
            }
            $this->hasHeld = true;
            $this->keep($at, $task->heldBy, $start, $finish);
        }
        [$this->heldOf, $this->heldOn] = [$heldOf, $heldOn];
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

    /** @return array{int, int} when a person would begin a task that is ready, and be done with it */
    public function earliest(int $task, int $person): array
    {
        $of = $this->tasks->tasks[$task];
        $hours = $this->tasks->people[$person];
        $start = max($of->from, $this->free[$person]);
        foreach ($this->tasks->before[$task] as $other) {
            $start = max($start, $this->finish[$other]);
        }
        foreach ($this->tasks->holds[$task] as $side) {
            $start = max($start, $this->sideFree[$side]);
        }
        $start = $hours->next($start);
        $finish = $hours->finish($start, $of->minutes);
        foreach ($this->hasHeld ? $this->heldFor($task, $person) : [] as [$from, $until]) {
            if ($start < $until && $finish > $from) {
                $start = $hours->next($until);
                $finish = $hours->finish($start, $of->minutes);
            }
        }

        return [$start, $finish];
    }

    /** @return list<array{int, int}> what is held by hand that a task of a person could get in the way of, in its order */
    private function heldFor(int $task, int $person): array
    {
        $held = array_merge($this->heldOf[$person], ...array_map(fn (int $side): array => $this->heldOn[$side], $this->tasks->holds[$task]));
        sort($held);

        return $held;
    }

    /** When a person could begin anything. */
    public function freeFrom(int $person): int
    {
        return $this->tasks->people[$person]->next($this->free[$person]);
    }

    public function place(int $task, int $person, int $start, int $finish): void
    {
        $this->free[$person] = $finish;
        foreach ($this->tasks->holds[$task] as $side) {
            $this->sideFree[$side] = max($this->sideFree[$side], $finish);
        }
        $this->keep($task, $person, $start, $finish);
    }

    /** Gives it to whoever is done with it first. */
    public function placeBest(int $task): void
    {
        $best = [0, ...$this->earliest($task, 0)];
        foreach (array_keys($this->tasks->people) as $person) {
            [$start, $finish] = $this->earliest($task, $person);
            $best = $finish < $best[2] ? [$person, $start, $finish] : $best;
        }
        $this->place($task, ...$best);
    }

    private function keep(int $task, int $person, int $start, int $finish): void
    {
        $of = $this->tasks->tasks[$task];
        $this->finish[$task] = $finish;
        $this->placed[] = new Placed($of->key, $person, $start, $finish);
        $this->end = max($this->end, $finish);
        $this->sum += $finish;
        if ($of->due !== null) {
            $this->late = max($this->late ?? PHP_INT_MIN, $finish - $of->due);
        }
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
    public function reaches(Bound $bound): bool
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
