<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Measure\Moment;

/** A figure that was read at a place on a walk, or that an earlier one there was taken back. */
final readonly class TakenReading
{
    /**
     * @param  string  $walk  names the walk
     * @param  float|null  $value  in the check's unit; null where what was read is taken back
     */
    public function __construct(
        public string $id,
        public string $walk,
        public Moment $walkBegan,
        public Place $place,
        public Moment $at,
        public ?float $value,
    ) {
    }
}
