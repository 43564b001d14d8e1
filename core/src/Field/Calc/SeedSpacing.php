<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** Seeds to an acre, and how far apart they lie in the row: domain, 4. */
final class SeedSpacing
{
    /** Square inches of an acre. */
    public const ACRE = 6_272_640;

    /** Square feet of an acre. */
    public const FEET = 43_560;

    /**
     * @param  float  $population  seeds an acre, over 0
     * @param  float  $width  between rows, inches, over 0
     * @return float inches
     */
    public static function inches(float $population, float $width): float
    {
        return self::ACRE / ($population * $width);
    }

    /**
     * @param  float  $spacing  inches, over 0
     * @return float seeds an acre
     */
    public static function population(float $spacing, float $width): float
    {
        return self::ACRE / ($spacing * $width);
    }

    /** Feet of row that are a thousandth of an acre. */
    public static function thousandth(float $width): float
    {
        return self::FEET / 1000 / ($width / 12);
    }

    /** Seeds a second of one row, at so many miles an hour. */
    public static function aSecond(float $population, float $width, float $mph): float
    {
        return $population * $width / 12 * $mph * 5280 / 3600 / self::FEET;
    }

    /** Turns a minute of the meter. */
    public static function turns(float $seedsASecond, int $cells): float
    {
        return 60 * $seedsASecond / $cells;
    }
}
