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
    /** Under this length, millimetres, an error of a reading is taken as if it were so long: near 0 a chord tells little. */
    private const LEAST_LENGTH = 10.0;

    /** How far the square of a contact is usually under 0 where the blades do not touch: half a pair of shims, as a half-normal of this SD. Square millimetres. */
    private const GAP_SD = 0.9 * 25.4 ** 2;

    /** Mean and variance of a half-normal, in SDs. */
    private const HALF_NORMAL = [0.7979, 0.3634];

    /**
     * @param  bool  $shrinks  else it grows
     * @param  float  $limit  millimetres
     * @param  float|null  $new  millimetres; null where a new part has no size of its own: the first reading is the start
     * @param  float  $allowance  room when new, or when it is as it is usually set; over 0
     * @param  FurrowDistance  $life  nominal, in which the allowance is worn away; over 0
     * @param  bool  $squared  it is the square of the size that wears evenly, and the room is in square millimetres: the chord
     *                         along which two discs meet
     * @param  array{float, float}|null  $short  sizes under the first, in millimetres, were taken over a shorter piece, and stand
     *                                          for so many times as much
     */
    public function __construct(
        public bool $shrinks,
        public float $limit,
        public ?float $new,
        public float $allowance,
        public FurrowDistance $life,
        private bool $squared = false,
        private ?array $short = null,
    ) {
    }

    /** @param  float  $size  millimetres */
    public function room(float $size): float
    {
        if ($this->squared) {
            return $size ** 2 - $this->limit ** 2;
        }

        if ($this->short !== null && $size < $this->short[0]) {
            $size *= $this->short[1];
        }

        return $this->shrinks ? $size - $this->limit : $this->limit - $size;
    }

    /** @param  float  $room  in the units of the room */
    public function size(float $room): float
    {
        if ($this->squared) {
            return sqrt(max(0.0, $room + $this->limit ** 2));
        }

        return $this->shrinks ? $this->limit + $room : $this->limit - $room;
    }

    /** How far the room moves for a millimetre of the size, where there is so much room. */
    public function gain(float $room): float
    {
        return $this->squared ? 2 * max(self::LEAST_LENGTH, $this->size($room)) : 1.0;
    }

    /**
     * What a reading says of the room. Where the blades do not touch it says only that the square is 0 or less, and nobody knows by how much.
     *
     * @param  float  $size  millimetres
     * @param  float|null  $step  that it was read to, millimetres
     */
    public function point(string $key, float $use, float $size, ?float $step): Point
    {
        $room = $this->room($size);

        return $this->squared && $size <= 0.0
            ? new Point($key, $use, $room - self::HALF_NORMAL[0] * self::GAP_SD, $step, $this->gain($room), self::HALF_NORMAL[1] * self::GAP_SD ** 2)
            : new Point($key, $use, $room, $step, $this->gain($room));
    }

    /** Room lost a metre, by the nominal life. */
    public function nominalRate(): float
    {
        return $this->allowance / $this->life->metres;
    }
}
