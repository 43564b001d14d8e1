<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Measure\Length;

/**
 * How fast a planter covers ground. Field capacity as in ASABE EP496: acres an hour = mph x feet wide x efficiency / 8.25.
 *
 * Either the efficiency is that of the whole field, with the fills in it, or it is that of turning alone and the fills are
 * counted by themselves; never both.
 */
final readonly class FieldPace
{
    /** Square feet of an acre by the feet of a mile: acres an hour at a mile an hour and a foot of width, turned over. */
    private const ACRES = 8.25;

    /**
     * @param  float  $mph  over 0
     * @param  float  $feet  working width, over 0
     * @param  float  $efficiency  over 0 to 1
     * @param  float  $fillHours  standing still for the fills of one acre; 0 where they are in the efficiency
     */
    private function __construct(
        private float $mph,
        private float $feet,
        private float $efficiency,
        private float $fillHours,
    ) {
    }

    /** The efficiency of the whole field, fills included: 0.50 to 0.75 is typical. */
    public static function ofField(float $mph, float $feet, float $efficiency): self
    {
        return new self($mph, $feet, $efficiency, 0.0);
    }

    /**
     * The efficiency of turning alone, 0.80 to 0.90, with the fills besides.
     *
     * @param  float  $fillMinutes  of one fill, 0 or more
     * @param  float  $acresAFill  over 0
     */
    public static function ofTurning(float $mph, float $feet, float $efficiency, float $fillMinutes, float $acresAFill): self
    {
        return new self($mph, $feet, $efficiency, $fillMinutes / 60 / $acresAFill);
    }

    public static function feet(Length $spacing, int $rows): float
    {
        return $spacing->toInches() * $rows / 12;
    }

    public function acresAnHour(): float
    {
        return 1 / (self::ACRES / ($this->mph * $this->feet * $this->efficiency) + $this->fillHours);
    }

    /**
     * The speed that a claimed pace would need, at the same efficiency and the same fills.
     *
     * @param  float  $acresAnHour  over 0
     * @return float|null miles an hour; null where the fills alone take longer than that
     */
    public function mphFor(float $acresAnHour): ?float
    {
        $rolling = 1 / $acresAnHour - $this->fillHours;

        return $rolling <= 0 ? null : self::ACRES / ($rolling * $this->feet * $this->efficiency);
    }
}
