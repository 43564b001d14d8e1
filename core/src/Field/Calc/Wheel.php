<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** A drive wheel: how far it rolls, how much it slips, what it has covered. Domain, 13. */
final class Wheel
{
    /**
     * @param  Measured  $feet  rolled, loaded, on firm ground
     * @param  float  $turns  over 0
     * @return Measured feet a turn
     */
    public static function circumference(Measured $feet, float $turns): Measured
    {
        return $feet->over($turns);
    }

    /**
     * Share of the way that it should have turned for and did not: 1 - turns x circumference / distance. Under 0 it turned more
     * than the way is long.
     *
     * @param  Measured  $turns  in the field
     * @param  Measured  $circumference  feet
     * @param  Measured  $feet  of the field, over 0
     */
    public static function slip(Measured $turns, Measured $circumference, Measured $feet): Measured
    {
        return Measured::of(1.0)->minus($turns->times($circumference)->over($feet));
    }

    /**
     * Acres that a counter of turns has covered.
     *
     * @param  float  $feetWide  working width
     * @param  float  $slip  0 to under 1
     */
    public static function acres(float $turns, float $circumference, float $feetWide, float $slip): float
    {
        return $turns * $circumference * $feetWide / (SeedSpacing::FEET * (1 - $slip));
    }
}
