<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;

/** What a season still has to bring for a planter. */
final readonly class PlantingProgress
{
    /**
     * @param  float  $acres  of the whole season, over 0
     * @param  float  $done  acres of it that are planted already, 0 or more
     * @param  int|null  $days  from the first to the last day of planting, 1 or more
     * @param  float  $severity  of the ground to be expected
     */
    public function __construct(
        public float $acres,
        public float $done,
        public ?int $days,
        private Length $spacing,
        private int $rows,
        private float $severity = 1.0,
    ) {
    }

    public function acresLeft(): float
    {
        return max(0.0, $this->acres - $this->done);
    }

    /** What each row still has to run, effective metres. */
    public function effectiveLeft(): float
    {
        return FurrowDistance::ofRowAcres($this->acresLeft() / $this->rows, $this->spacing)->metres * $this->severity;
    }

    /** Days after the first day of planting on which so many more acres are reached; null past the season's end or without a length. */
    public function dayOf(float $acres): ?int
    {
        $at = $this->done + $acres;

        return $this->days === null || $at >= $this->acres ? null : (int) floor($at / $this->acres * $this->days);
    }
}
