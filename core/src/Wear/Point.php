<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** One reading of an item. */
final readonly class Point
{
    /**
     * @param  string  $key  names the reading
     * @param  float  $use  effective metres since the item was fitted or first read
     * @param  float  $room  left to the limit, in the units of the path
     * @param  float|null  $step  that the figure was read to, millimetres; null where nobody knows
     * @param  float  $gain  how far the room moves for a millimetre of the figure
     * @param  float  $spread  variance of the room on top of the reading's own error: what a figure says only roughly
     */
    public function __construct(
        public string $key,
        public float $use,
        public float $room,
        public ?float $step = null,
        public float $gain = 1.0,
        public float $spread = 0.0,
    ) {
    }

    /** The same, its use counted from another start. */
    public function since(float $use): self
    {
        return new self($this->key, $this->use - $use, $this->room, $this->step, $this->gain, $this->spread);
    }
}
