<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Emergence;

use Ustrel\Core\Field\Calc\Measured;

/** Plants that stood on a marked length of one row, so many hours after planting. */
final readonly class PlantCount
{
    /**
     * @param  float  $hours  since planting, 0 or more
     * @param  int  $plants  0 or more
     * @param  float  $feet  of the row, over 0
     *
     * @throws InvalidStand
     */
    public function __construct(
        public int $row,
        public float $hours,
        public int $plants,
        public float $feet,
    ) {
        if ($hours < 0 || $plants < 0 || $feet <= 0) {
            throw InvalidStand::count();
        }
    }

    /**
     * Plants an acre: count x 43,560 / (length x width).
     *
     * @param  float  $width  between rows, inches
     */
    public function stand(float $width): float
    {
        return $this->plants * 43_560 / ($this->feet * $width / 12);
    }

    /**
     * Plants an acre over several rows, with how far it may be off by what a count is off.
     *
     * @param  list<self>  $counts  of one at least
     * @param  float  $width  between rows, inches
     */
    public static function together(array $counts, float $width): Measured
    {
        return Measured::counted(array_sum(array_column($counts, 'plants')))->over(array_sum(array_column($counts, 'feet')) * $width / 12 / 43_560);
    }
}
