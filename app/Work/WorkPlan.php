<?php

declare(strict_types=1);

namespace App\Work;

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Work\Schedule;

/** Who does what when, on one planter or on all of a workshop. */
final readonly class WorkPlan
{
    /**
     * @param  Day  $first  at whose midnight its instants begin
     * @param  list<string>  $people  by name
     * @param  array<string, PlannedWork>  $pieces  by key
     * @param  list<PlannedWork>  $undated  whose parts nobody knows a day for
     * @param  Schedule|null  $schedule  null where nobody has hours
     * @param  Day|null  $planting  the first of the planters'
     */
    public function __construct(
        public Day $first,
        public array $people,
        public array $pieces,
        public array $undated,
        public ?Schedule $schedule,
        public ?Day $planting,
    ) {
    }
}
