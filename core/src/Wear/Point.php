<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** One reading of an item. */
final readonly class Point
{
    /**
     * @param  string  $key  names the reading
     * @param  float  $use  effective metres since the item was fitted or first read
     * @param  float  $room  millimetres left to the limit
     */
    public function __construct(
        public string $key,
        public float $use,
        public float $room,
    ) {
    }
}
