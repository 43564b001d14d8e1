<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** The marks of a rule or tape that a figure falls on: how coarsely it was read. */
final class RuleStep
{
    /** Millimetres, the coarsest first: eighths to sixty-fourths of an inch, then a millimetre to a hundredth. */
    private const STEPS = [25.4 / 8, 25.4 / 16, 25.4 / 32, 25.4 / 64, 1.0, 0.5, 0.1, 0.01];

    /** A figure that is kept to the micrometre falls on a mark within this, millimetres. */
    private const NEAR = 1e-5;

    /**
     * The coarsest step that a figure is whole in.
     *
     * @param  float  $millimetres  as it was typed
     * @return float|null millimetres; null where it falls on no mark
     */
    public static function of(float $millimetres): ?float
    {
        foreach (self::STEPS as $step) {
            if (abs($millimetres - round($millimetres / $step) * $step) < self::NEAR) {
                return $step;
            }
        }

        return null;
    }
}
