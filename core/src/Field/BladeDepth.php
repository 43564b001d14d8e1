<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

/** What worn blades cost in depth: at the same notch a blade that has lost diameter cuts shallower by half the loss. */
final class BladeDepth
{
    /**
     * Millimetres shallower than with new blades; below 0 where they are larger than new.
     *
     * @param  float  $new  diameter, millimetres
     * @param  float  $now  diameter, millimetres
     */
    public static function lost(float $new, float $now): float
    {
        return ($new - $now) / 2;
    }

    /**
     * How much higher or lower than the rest each row has to be set, where new and old blades are mixed and nothing else
     * differs: what is lost against the row in the middle, to the nearest half notch.
     *
     * @param  array<int, float>  $diameters  by row, the mean of both sides, millimetres; 1 row or more
     * @param  float  $notch  depth of one notch, millimetres, over 0
     * @return array<int, float> notches by row; higher plants deeper
     */
    public static function moves(array $diameters, float $notch): array
    {
        if ($diameters === []) {
            throw TooFewRows::of(0);
        }
        $sorted = array_values($diameters);
        sort($sorted);
        $middle = $sorted[intdiv(count($sorted), 2)];

        return array_map(static fn (float $diameter): float => round(2 * self::lost($middle, $diameter) / $notch) / 2 + 0.0, $diameters);
    }
}
