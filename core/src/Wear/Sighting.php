<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Measure\Moment;

/** A size that was read. */
final readonly class Sighting
{
    /**
     * @param  string  $id  names the reading
     * @param  float  $size  millimetres
     * @param  float|null  $step  that it was read to, millimetres; null where nobody knows
     */
    public function __construct(
        public string $id,
        public Moment $at,
        public float $size,
        public ?float $step = null,
    ) {
    }
}
