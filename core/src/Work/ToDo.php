<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Plan\Jobs\Job;

/** What was decided to be done about one place. */
final readonly class ToDo
{
    /**
     * @param  string  $key  names it within the list
     * @param  list<Job>  $jobs
     * @param  int  $from  when its parts are there, as an instant of the plan
     * @param  bool  $blocks  planting cannot begin before it is done
     */
    public function __construct(
        public string $key,
        public array $jobs,
        public int $from,
        public bool $blocks,
    ) {
    }
}
