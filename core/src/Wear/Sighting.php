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
     */
    public function __construct(
        public string $id,
        public Moment $at,
        public float $size,
    ) {
    }
}
