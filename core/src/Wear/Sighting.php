<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** A size that was read. */
final readonly class Sighting
{
    /**
     * @param  string  $id  names the reading
     * @param  string  $at  ISO 8601 in UTC
     * @param  float  $size  millimetres
     */
    public function __construct(
        public string $id,
        public string $at,
        public float $size,
    ) {
    }
}
