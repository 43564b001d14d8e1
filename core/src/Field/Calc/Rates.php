<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** Product beside the seed, liquid and dry: domain, 4, 12 and 13. */
final class Rates
{
    /** Rows of a catch that are further from the median than this are plugged or worn. */
    public const ROWS_WITHIN = 0.05;

    /**
     * Gallons a minute of one row: gal/acre x mph x w_in / 5,940.
     *
     * @param  float  $rate  gallons an acre
     * @param  float  $width  of a row, inches
     */
    public static function perRow(float $rate, float $mph, float $width): float
    {
        return $rate * $mph * $width / 5940;
    }

    /** Gallons a minute that a pump has to give: gal/acre x mph x ft wide / 495. */
    public static function pump(float $rate, float $mph, float $feetWide): float
    {
        return $rate * $mph * $feetWide / 495;
    }

    /** The fastest speed that a pump keeps up with, miles an hour. */
    public static function fastest(float $rate, float $feetWide, float $capacity): float
    {
        return $capacity * 495 / ($rate * $feetWide);
    }

    /**
     * Dry product by what was caught: lb/acre = lb x 43,560 / (ft x ft of width that the outlet serves).
     */
    public static function dry(Measured $pounds, float $feet, float $feetWide): Measured
    {
        return $pounds->times(SeedSpacing::FEET)->over($feet * $feetWide);
    }

    /**
     * Which rows of a catch are off, each against the median of all.
     *
     * @param  array<int, float>  $caught  by row, in whatever unit; two or more, none under 0
     * @return array{float, array<int, float>} the median, and the share by which each row that is off is over (under 0: under) it
     *
     * @throws InvalidFigure
     */
    public static function catch(array $caught): array
    {
        $sorted = array_values($caught);
        sort($sorted);
        $half = intdiv(count($sorted), 2);
        $median = count($sorted) < 2 ? 0.0 : (count($sorted) % 2 === 1 ? $sorted[$half] : ($sorted[$half - 1] + $sorted[$half]) / 2);
        if ($median <= 0 && count($sorted) > 1 && max($sorted) > 0) {
            // Most rows are plugged: the rest tells what should have come.
            $some = array_values(array_filter($sorted));
            $median = ($some[intdiv(count($some) - 1, 2)] + $some[intdiv(count($some), 2)]) / 2;
        }
        if ($median <= 0 || $sorted[0] < 0) {
            throw InvalidFigure::of('catches', 'catch');
        }
        $off = array_map(static fn (float $one): float => $one / $median - 1, $caught);

        return [$median, array_filter($off, static fn (float $share): bool => abs($share) > self::ROWS_WITHIN + 1e-9)];
    }
}
