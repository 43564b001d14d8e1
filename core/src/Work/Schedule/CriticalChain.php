<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** Reads a draft that is through: what settles its end, how much room each task has, and what does not go as it is held. */
final readonly class CriticalChain
{
    /** @var list<Placed> by task */
    private array $placed;

    /** @var array<int, list<int>> by task, those that the same people do right before */
    private array $personBefore;

    /** @var array<int, list<int>> by task, those on its row sides right before */
    private array $rowBefore;

    private function __construct(private Tasks $tasks, Draft $draft)
    {
        $placed = array_column(array_map(static fn (Placed $of): array => [$of->task, $of], $draft->placed), 1, 0);
        $this->placed = array_map(static fn (Task $task): Placed => $placed[$task->key], $tasks->tasks);
        $order = array_keys($this->placed);
        usort($order, fn (int $one, int $other): int => [$this->placed[$one]->start, $one] <=> [$this->placed[$other]->start, $other]);
        $personBefore = $rowBefore = array_fill(0, $tasks->count(), []);
        $lastOf = $lastOn = [];
        foreach ($order as $at) {
            foreach ($this->placed[$at]->people() as $person) {
                if (isset($lastOf[$person])) {
                    $personBefore[$at][] = $lastOf[$person];
                }
                $lastOf[$person] = $at;
            }
            foreach ($tasks->holds[$at] as $side) {
                if (isset($lastOn[$side])) {
                    $rowBefore[$at][] = $lastOn[$side];
                }
                $lastOn[$side] = $at;
            }
        }
        [$this->personBefore, $this->rowBefore] = [$personBefore, $rowBefore];
    }

    public static function of(Draft $draft, LowerBound $bound, bool $isExact): Schedule
    {
        $tasks = $draft->tasks;
        $reading = new self($tasks, $draft);
        $isBest = $isExact || $draft->reaches($bound);
        $inOrder = $draft->placed;
        usort($inOrder, static fn (Placed $one, Placed $other): int => [$one->start, $one->person] <=> [$other->start, $other->person]);

        return new Schedule(
            array_column(array_map(static fn (Placed $of): array => [$of->task, $of], $inOrder), 1, 0),
            $draft->end, $draft->late, $isBest,
            $isBest || $draft->late === null ? 0 : $draft->late - $bound->late,
            $isBest ? 0 : $draft->end - $bound->end,
            ...[...$reading->room($draft->late ?? 0, $draft->end), $reading->chain($draft), $reading->broken()],
        );
    }

    /** @return array{array<string, int>, array<string, int>} by task, minutes of work by which it may begin later, and when it has to begin at the latest */
    private function room(int $late, int $end): array
    {
        $dues = array_filter(array_map(static fn (Task $task): ?int => $task->due, $this->tasks->tasks), is_int(...));
        $last = max([$end, ...$dues]);
        $limit = array_map(static fn (Task $task): int => $task->due === null ? $last : $task->due + max(0, $late), $this->tasks->tasks);
        $order = array_keys($this->placed);
        usort($order, fn (int $one, int $other): int => [$this->placed[$other]->start, $other] <=> [$this->placed[$one]->start, $one]);
        $slack = $latest = [];
        foreach ($order as $at) {
            $placed = $this->placed[$at];
            $hours = $this->hours($placed);
            $room = $this->tasks->tasks[$at]->heldAt === null ? max(0, $hours->until($limit[$at]) - $hours->until($placed->finish)) : 0;
            $slack[$placed->task] = $room;
            $begins = $hours->latestStart($limit[$at], $this->tasks->tasks[$at]->minutes) ?? $placed->start;
            $latest[$placed->task] = $room === 0 ? $placed->start : max($placed->start, $begins);
            foreach ([...$this->tasks->before[$at], ...$this->rowBefore[$at], ...$this->personBefore[$at]] as $other) {
                $limit[$other] = min($limit[$other], $latest[$placed->task]);
            }
        }

        return [$slack, $latest];
    }

    /** @return list<ChainLink> */
    private function chain(Draft $draft): array
    {
        $at = null;
        foreach ($this->placed as $task => $placed) {
            $due = $this->tasks->tasks[$task]->due;
            if ($draft->late === null ? $placed->finish === $draft->end : $due !== null && $placed->finish - $due === $draft->late) {
                $at = $task;
                break;
            }
        }
        $chain = [];
        while ($at !== null) {
            [$cause, $before] = $this->cause($at);
            array_unshift($chain, new ChainLink($this->tasks->tasks[$at]->key, $cause));
            $at = $before;
        }

        return $chain;
    }

    /** @return array{LinkCause, int|null} */
    private function cause(int $at): array
    {
        $placed = $this->placed[$at];
        $task = $this->tasks->tasks[$at];
        $hours = $this->hours($placed);
        if ($task->heldAt !== null) {
            return [LinkCause::Held, null];
        }
        $tried = array_merge(
            array_map(static fn (int $other): array => [LinkCause::After, $other], $this->tasks->before[$at]),
            array_map(static fn (int $other): array => [LinkCause::Person, $other], $this->personBefore[$at]),
            array_map(static fn (int $other): array => [LinkCause::Row, $other], $this->rowBefore[$at]),
        );
        foreach ($tried as [$cause, $other]) {
            if ($this->placed[$other]->finish <= $placed->start && $hours->next($this->placed[$other]->finish) === $placed->start) {
                return [$cause, $other];
            }
        }

        return [$task->from > 0 && $task->waits && $hours->next($task->from) === $placed->start ? LinkCause::Arrival : LinkCause::Begin, null];
    }

    private function hours(Placed $placed): WorkHours
    {
        return $this->tasks->hours[$this->tasks->crewOf($placed->people()) ?? $placed->person];
    }

    /** @return list<string> */
    private function broken(): array
    {
        $broken = [];
        foreach ($this->tasks->tasks as $at => $task) {
            $needs = max([$task->from, ...array_map(fn (int $other): int => $this->placed[$other]->finish, $this->tasks->before[$at])]);
            if ($task->heldAt !== null && $needs > $this->placed[$at]->start) {
                $broken[] = $task->key;
            }
        }

        return $broken;
    }
}
