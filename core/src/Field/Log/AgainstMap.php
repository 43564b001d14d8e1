<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

/** A field's size by the counter of the planter, held against the map. */
final class AgainstMap
{
    /** Overlap and point rows make so much. */
    private const ORDINARY = 0.03;

    /** @return float share that the counter says more than the map */
    public static function more(float $counted, float $mapped): float
    {
        return $counted / $mapped - 1;
    }

    /** More than overlap and point rows make: width, circumference or slip of the counter are to be looked at. */
    public static function isOff(float $counted, float $mapped): bool
    {
        return abs(self::more($counted, $mapped)) > self::ORDINARY;
    }
}
