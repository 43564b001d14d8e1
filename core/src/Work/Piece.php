<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Schedule\Task;

/** What is done on one row in one go, because the same things come off for it. */
final readonly class Piece
{
    /**
     * @param  int  $row  0 for the planter as a whole
     * @param  list<Job>  $jobs  none for what makes the planter safe, and for own work
     * @param  list<string>  $todos  that are done by it, by key
     * @param  int  $minutes  1 or more
     * @param  int  $saved  minutes that it would take longer if each job were done by itself
     * @param  int  $from  when all its parts are there, as an instant of the plan
     * @param  list<string>  $after  pieces that come before it, by key
     * @param  bool  $blocks  planting cannot begin before it is done
     * @param  OwnWork|null  $own  where it comes of no finding
     * @param  int  $people  that its heaviest job takes
     */
    public function __construct(
        public string $key,
        public int $row,
        public array $jobs,
        public array $todos,
        public int $minutes,
        public int $saved,
        public int $from,
        public array $after,
        public bool $blocks,
        public ?OwnWork $own = null,
        public int $people = 1,
    ) {
    }

    /**
     * As a task of a plan, in which other planters may have pieces of the same key.
     *
     * @param  int  $now  it begins no earlier, as an instant of the plan
     * @param  int|null  $planting  when planting is to start
     * @param  array<string, mixed>  $among  the pieces of the planter that are in the plan, by key
     * @param  array{int, int}|null  $held  who does it and when it begins, where somebody has set that by hand
     * @param  int|null  $people  other than it takes
     */
    public function task(string $planter, int $now, ?int $planting, array $among, ?array $held = null, ?int $people = null): Task
    {
        $sides = [];
        foreach ($this->jobs as $job) {
            foreach ($this->row === 0 ? [] : ($job->side === Side::Centre ? [Side::Left, Side::Right] : [$job->side]) as $side) {
                $sides["{$planter} {$this->row} {$side->value}"] = true;
            }
        }
        if ($this->own !== null && $this->row > 0) {
            $sides = ["{$planter} {$this->row} left" => true, "{$planter} {$this->row} right" => true];
        }
        $after = array_values(array_map(static fn (string $key): string => "{$planter} {$key}", array_filter($this->after, static fn (string $key): bool => isset($among[$key]))));

        return new Task("{$planter} {$this->key}", $this->minutes, $held === null ? max($now, $this->from) : $this->from, $after, array_keys($sides), $this->blocks ? $planting : null, $held[1] ?? null, $held[0] ?? null, $people ?? $this->people, $this->from > $now);
    }
}
