<?php

declare(strict_types=1);

namespace App\Field;

use Ustrel\Core\Field\DepthIndex;
use Ustrel\Core\Field\DepthStrategy;

/** The depth stops of a planter on a walk: where each lifts, where each is set, and where it belongs. */
final readonly class DepthStops
{
    /**
     * @param  DepthIndex|null  $index  null while too few rows were read
     * @param  float  $tolerance  notches that a row may be off
     * @param  float  $notch  millimetres that one notch moves the gauge wheels by
     * @param  array<int, float>  $set  notches as they are set now, by row
     * @param  array<int, float>  $aims  notches that the rows belong at; none while too few are set
     * @param  array<int, float>  $blades  how much higher, or lower below 0, a row has to be set because its blades are smaller or larger than the rest's; only where nobody measured where the wheels lift
     */
    public function __construct(
        public ?DepthIndex $index,
        public DepthStrategy $school,
        public float $tolerance,
        public float $notch,
        public array $set,
        public array $aims,
        public array $blades,
        /** @var list<int> rows that are still to be measured, where some were */
        public array $missing,
    ) {
    }
}
