<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/** How high the sum of a stream climbs by chance: a straight line of the logarithm of the blocks to such a height. */
final class DriftThreshold
{
    public function __construct(
        private readonly float $from,
        private readonly float $perLog,
    ) {
    }

    /**
     * @param  float  $log  of the blocks to a false alarm
     * @return float in units of the scatter
     */
    public function height(float $log): float
    {
        return $this->from + $this->perLog * $log;
    }

    /** The logarithm of the blocks that it takes by chance to climb so high. */
    public function log(float $height): float
    {
        return ($height - $this->from) / $this->perLog;
    }
}
