<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Parts\PartType;
use Ustrel\Core\Work\Stops\Spares;
use Ustrel\Core\Work\Stops\StopPlan;

/** What to carry into the season, and when to stop in it. */
final readonly class InSeason
{
    /**
     * @param  list<array{PartType, Spares}>  $spares  of which one at least is worth carrying or may fail, the likeliest first
     * @param  int  $unpriced  part types that may fail and whose price nobody knows
     * @param  StopPlan|null  $stops  null where nobody has said what a stop costs, or how many acres there are
     * @param  array<string, int>  $counts  parts of each item of the stops
     * @param  float|null  $acres  of the season that are left
     * @param  float  $done  acres of it that are planted
     */
    public function __construct(
        public array $spares,
        public int $unpriced,
        public ?StopPlan $stops,
        public array $counts,
        public ?float $acres,
        public float $done,
        public bool $hasStopCost,
    ) {
    }
}
