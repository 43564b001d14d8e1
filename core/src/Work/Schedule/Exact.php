<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/**
 * Tries every order and every crew, but for what is nowhere ahead of something tried before. Some best schedule places its
 * tasks in the order in which they begin, each as early as it can behind those before: it is among them.
 */
final class Exact
{
    /** More are not looked at; then the best of what was seen is not called the best of all. */
    private const MOST_DRAFTS = 40_000;

    private int $looked = 0;

    /** @var array<int, list<list<int>>> faces of what was tried, by the tasks placed as bits */
    private array $seen = [];

    private function __construct(private Draft $best, private readonly LowerBound $bound)
    {
    }

    /** @return array{Draft, bool} the best, and whether it is known that there is none better */
    public static function search(Tasks $tasks, Draft $best, LowerBound $bound): array
    {
        $search = new self($best, $bound);
        $search->from(new Draft($tasks), 0);

        return [$search->best, $search->looked <= self::MOST_DRAFTS];
    }

    private function from(Draft $draft, int $placed): void
    {
        if ($draft->goal() >= $this->best->goal() || ++$this->looked > self::MOST_DRAFTS || $this->best->reaches($this->bound)) {
            return;
        }
        $tasks = $draft->tasks;
        if (count($draft->finish) === $tasks->count()) {
            $this->best = $draft;

            return;
        }
        if ($this->isBehind($draft, $placed)) {
            return;
        }
        $next = [];
        foreach (array_keys($tasks->tasks) as $task) {
            foreach ($draft->isReady($task) ? $tasks->crewsOf[$task] : [] as $crew) {
                [$start, $finish] = $draft->earliest($task, $crew);
                $next[] = [$start, -$tasks->tail[$task], $task, $crew, $finish];
            }
        }
        sort($next);
        foreach ($next as [$start, , $task, $crew, $finish]) {
            $further = clone $draft;
            $further->place($task, $crew, $start, $finish);
            $this->from($further, $placed | 1 << $task);
        }
    }

    private function isBehind(Draft $draft, int $placed): bool
    {
        $face = $draft->face();
        foreach ($this->seen[$placed] ?? [] as $other) {
            foreach ($other as $at => $value) {
                if ($value > $face[$at]) {
                    continue 2;
                }
            }

            return true;
        }
        $this->seen[$placed][] = $face;

        return false;
    }
}
