<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Air;

use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\InvalidRun;

/** What was counted of a run at one air. */
final readonly class AirRun
{
    private const LEAST = 0.5;

    private const MOST = 60.0;

    /**
     * @param  float  $air  inches of water, 0.5 to 60
     *
     * @throws InvalidRun
     */
    public function __construct(
        public float $air,
        public Counts $counts,
    ) {
        $air >= self::LEAST && $air <= self::MOST || throw InvalidRun::air();
    }
}
