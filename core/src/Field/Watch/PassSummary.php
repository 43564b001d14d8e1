<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** What was told of one pass over the field, from letting down to lifting. */
final readonly class PassSummary
{
    /**
     * @param  int  $from  ms of the monitor's clock
     * @param  int  $to  ms of the monitor's clock
     * @param  float  $feet  that the planter went while it planted
     * @param  array<string, array<int, float>>  $means  by row, by what is watched
     * @param  array<string, array<int, float>>  $deviations  from moment to moment
     */
    public function __construct(
        public int $from,
        public int $to,
        public float $feet,
        public array $means,
        public array $deviations,
    ) {
    }

    /** Miles an hour on the mean; 0 for none. */
    public function mph(): float
    {
        return $this->to > $this->from ? $this->feet / (($this->to - $this->from) / 1000) * 3600 / 5280 : 0.0;
    }

    /** @param  float  $feet  width of the planter */
    public function acres(float $feet): float
    {
        return $this->feet * $feet / 43_560;
    }
}
