<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

/** What is done while it rains, by whom, and what only just is not. */
final readonly class RainPlan
{
    /**
     * @param  list<list<string>>  $people  what each does, by key
     * @param  list<int>  $minutes  that each needs for it
     * @param  float  $worth  of all that
     * @param  float  $atMost  no choice is worth more than this
     * @param  bool  $isBest  no other choice is worth more
     * @param  array<string, int>  $missed  by key, so many minutes more would have room for it: those that need least, at most three
     */
    public function __construct(
        public array $people,
        public array $minutes,
        public float $worth,
        public float $atMost,
        public bool $isBest,
        public array $missed,
    ) {
    }
}
