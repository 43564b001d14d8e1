<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** Markers, guess rows, ballast and what takes time to react: domain, 11 and 13. */
final class Toolbar
{
    /**
     * From the outer row to where the marker draws, for a mark that the tractor's centre line follows: (rows + 1) x spacing / 2.
     *
     * @return float in the unit of the spacing
     */
    public static function marker(int $rows, float $spacing): float
    {
        return ($rows + 1) * $spacing / 2;
    }

    /** How much the row between two passes is off: over 0 too wide. */
    public static function guessRow(float $gap, float $spacing): float
    {
        return $gap - $spacing;
    }

    /**
     * Pounds to add to a wing so that its rows' downforce does not lift it: each force times its distance from the hinge where distances are known.
     *
     * @param  list<float>  $downforce  of each row on the wing, pounds
     * @param  float  $usable  weight of the wing that holds it down, pounds
     * @param  list<float>|null  $arms  feet of each row from the hinge, as many as rows; null where nobody measured
     * @param  float|null  $usableAt  feet from the hinge at which the weight acts
     * @param  float|null  $ballastAt  feet from the hinge at which ballast is put
     *
     * @throws InvalidFigure where distances do not go with rows
     */
    public static function ballast(array $downforce, float $usable, ?array $arms = null, ?float $usableAt = null, ?float $ballastAt = null): float
    {
        if ($arms === null || $arms === []) {
            return max(0.0, array_sum($downforce) - $usable);
        }
        if (count($arms) !== count($downforce) || $usableAt === null || $ballastAt === null || $ballastAt <= 0) {
            throw InvalidFigure::of('arms', 'arms', ['rows' => count($downforce)]);
        }
        $lifts = array_sum(array_map(static fn (float $force, float $arm): float => $force * $arm, $downforce, $arms));

        return max(0.0, ($lifts - $usable * $usableAt) / $ballastAt);
    }

    /** Feet that are driven until something has reacted: 1.467 x mph x seconds. */
    public static function reaction(float $mph, float $seconds): float
    {
        return 5280 / 3600 * $mph * $seconds;
    }
}
