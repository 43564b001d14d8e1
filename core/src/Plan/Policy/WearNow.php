<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** How far gone a part is that wears, as shares of its allowance, and its odds in the season. */
final readonly class WearNow
{
    public function __construct(
        /** 0 as new, 1 at its limit, beyond it more. */
        public float $gone,
        /** By the end of the season; null without a plan. */
        public ?float $goneAtEnd,
        /** Of reaching the limit within it; null without a plan. */
        public ?float $chance,
        public bool $isThin,
        /** Acres of the planter that nine in ten last; null where that is out of sight. */
        public ?float $acres10,
        /** Millimetres of planting depth that its wear takes, on the average of what is planted yet. */
        public float $depthLost = 0.0,
    ) {
    }
}
