<?php

declare(strict_types=1);

namespace App\Wear;

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\Standing;

/** How long what wears at one place will last. */
final readonly class PlaceForecast
{
    /**
     * @param  float|null  $size  millimetres, expected now
     * @param  float  $use  furrow metres run
     * @param  array<string, float|null>  $metres  left: p10, p50 and p90
     * @param  array<string, float|null>  $acres  the same in acres of the planter
     * @param  Day|null  $dueOn  on which as many have reached the limit as not, within the season
     * @param  list<string>  $outliers  ids of readings
     */
    public function __construct(
        public Place $place,
        public ?string $fittingId,
        public ?float $size,
        public float $use,
        public array $metres,
        public array $acres,
        public ?float $chance,
        public ?Day $dueOn,
        public bool $thin,
        public int $readings,
        public array $outliers,
        public Standing $standing,
        /** Its newest reading shows more left than there can be. */
        public bool $grown,
        /** The check reads as if parts grew back, all in all. */
        public bool $growsBack,
    ) {
    }
}
