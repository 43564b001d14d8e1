<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

/** Who does a task and when: instants in minutes since the midnight at which the plan begins. */
final readonly class Placed
{
    public function __construct(
        public string $task,
        /** Index of the plan's people. */
        public int $person,
        public int $start,
        public int $finish,
    ) {
    }
}
