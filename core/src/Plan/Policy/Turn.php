<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** What would have to be otherwise for another policy to be the cheapest. */
final readonly class Turn
{
    /**
     * @param  TurnOf  $of  what would be otherwise
     * @param  float  $factor  times what it is now; of a share, the share itself
     * @param  int  $line  of the table, the policy that would be cheapest then
     */
    public function __construct(
        public TurnOf $of,
        public float $factor,
        public int $line,
        /** Of a share, the policy that goes by it. */
        public ?int $by = null,
    ) {
    }
}
