<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Measure\FurrowDistance;

/**
 * Which way a size wears and where it ends. What is reckoned with is the room: the millimetres left to the limit, which
 * fall for a blade that shrinks and for play that grows alike.
 */
final readonly class WearPath
{
    /**
     * @param  bool  $shrinks  else it grows
     * @param  float  $limit  millimetres
     * @param  float|null  $new  millimetres; null where a new part has no size of its own: the first reading is the start
     * @param  float  $allowance  millimetres from new, or from where it is usually set, to the limit; over 0
     * @param  FurrowDistance  $life  nominal, in which the allowance is worn away; over 0
     */
    public function __construct(
        public bool $shrinks,
        public float $limit,
        public ?float $new,
        public float $allowance,
        public FurrowDistance $life,
    ) {
    }

    /** @param  float  $size  millimetres */
    public function room(float $size): float
    {
        return $this->shrinks ? $size - $this->limit : $this->limit - $size;
    }

    /** @param  float  $room  millimetres */
    public function size(float $room): float
    {
        return $this->shrinks ? $this->limit + $room : $this->limit - $room;
    }

    /** Millimetres a metre, by the nominal life. */
    public function nominalRate(): float
    {
        return $this->allowance / $this->life->metres;
    }
}
