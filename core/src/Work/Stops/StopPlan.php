<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

/** The stops of a season. */
final readonly class StopPlan
{
    /** @param  list<ServiceStop>  $stops  in their order */
    public function __construct(
        public array $stops,
        /** Of stops, work and life thrown away, in the shop's currency. */
        public float $cost,
        /** No plan costs less than this. */
        public float $atLeast,
        public bool $isBest,
    ) {
    }
}
