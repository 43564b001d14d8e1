<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** How fast a walk goes, from the times of its own readings. */
final class Pace
{
    /** Longer than this between two readings is a break, in seconds. */
    private const BREAK = 600;

    /** Fewer readings than these say nothing. */
    private const FEWEST = 5;

    /**
     * Seconds a reading takes: the time between the first and the last without the breaks, by the readings after the first.
     *
     * @param  list<int>  $takenAt  seconds of any epoch, in any order
     */
    public static function secondsAReading(array $takenAt): ?float
    {
        if (count($takenAt) < self::FEWEST) {
            return null;
        }
        sort($takenAt);
        $active = 0;
        $readings = 0;
        foreach (array_slice($takenAt, 1) as $index => $at) {
            $gap = $at - $takenAt[$index];
            if ($gap <= self::BREAK) {
                $active += $gap;
                $readings++;
            }
        }

        return $readings === 0 ? null : $active / $readings;
    }
}
