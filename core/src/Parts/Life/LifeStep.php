<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

/** From here to the next step so large a share still runs. */
final readonly class LifeStep
{
    public function __construct(
        public float $ran,
        /** 0 to 1. */
        public float $share,
        /** Ends of the 95 % interval; null where too few have ended to tell. */
        public ?float $low,
        public ?float $high,
        /** Parts still running just before. */
        public int $atRisk,
    ) {
    }
}
