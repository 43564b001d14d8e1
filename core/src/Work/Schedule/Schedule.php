<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** Who does what when. Instants are minutes since the midnight at which the plan begins. */
final readonly class Schedule
{
    /**
     * @param  array<string, Placed>  $placed  by task, in the order in which they begin
     * @param  int  $end  when the last is done; 0 of an empty plan
     * @param  int|null  $late  how much later than due the latest of what is due is done, negative where it is early; null where nothing is due
     * @param  bool  $isBest  there is none better: first the latest is least late, then the last is done earliest
     * @param  int  $lateOver  it may be so much less late than this, and no more; 0 where there is none better
     * @param  int  $endOver  the last may be done so much earlier, and no more
     * @param  array<string, int>  $slack  minutes of work by which each may begin later without anything being late that is not
     * @param  array<string, int>  $latest  when each has to begin at the latest for that
     * @param  list<ChainLink>  $chain  what settles the end, from the first on
     * @param  list<string>  $broken  what is held by hand and begins before what it needs is there or done
     */
    public function __construct(
        public array $placed,
        public int $end,
        public ?int $late,
        public bool $isBest,
        public int $lateOver,
        public int $endOver,
        public array $slack,
        public array $latest,
        public array $chain,
        public array $broken,
    ) {
    }
}
