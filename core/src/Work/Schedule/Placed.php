<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** Who does a task and when: instants in minutes since the midnight at which the plan begins. */
final readonly class Placed
{
    /**
     * @param  int  $person  who leads, as an index of the plan's people
     * @param  list<int>  $with  who does it together with that one
     */
    public function __construct(
        public string $task,
        public int $person,
        public int $start,
        public int $finish,
        public array $with = [],
    ) {
    }

    /** @return non-empty-list<int> */
    public function people(): array
    {
        return [$this->person, ...$this->with];
    }
}
