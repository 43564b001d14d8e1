<?php

declare(strict_types=1);

namespace App\Plan;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\PolicyTable;

/** What the policies come to on one planter, and what that stands on. */
final readonly class PolicyOutcome
{
    /** @param  list<Slot>  $thin  slots whose record says little: nominal lives, wide */
    public function __construct(
        public PolicyTable $table,
        /** Of a season. */
        public float $acres,
        public array $thin,
        /** Nobody has said what an hour's work costs. */
        public bool $withoutRate,
        /** Nobody has said what a stop costs. */
        public bool $withoutStopCost,
    ) {
    }
}
