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

    /** Fewer of one kind say nothing of it. */
    private const FEWEST_OF_A_KIND = 20;

    /** What came faster was typed off paper or imported, in seconds a reading. */
    private const FASTEST = 0.5;

    /** Seconds for a figure and for a look, where the shop has no walks of its own. */
    private const TYPICAL = [12.0, 3.0];

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

    /**
     * Seconds that a figure takes and that a look takes, by past walks: each gap counts for the reading that ends it.
     *
     * @param  list<list<array{int, bool}>>  $walks  of each reading the seconds of any epoch and whether a figure was taken, in any order
     * @return array{figure: float, look: float, own: bool} not the shop's own where its walks say too little
     */
    public static function ofWalks(array $walks): array
    {
        $seconds = $count = [false => 0, true => 0];
        foreach ($walks as $taken) {
            sort($taken);
            $of = $times = [false => 0, true => 0];
            foreach (array_slice($taken, 1) as $index => [$at, $isFigure]) {
                $gap = $at - $taken[$index][0];
                if ($gap <= self::BREAK) {
                    $of[$isFigure] += $gap;
                    $times[$isFigure]++;
                }
            }
            if (array_sum($of) < self::FASTEST * array_sum($times)) {
                continue;
            }
            foreach ([false, true] as $kind) {
                $seconds[$kind] += $of[$kind];
                $count[$kind] += $times[$kind];
            }
        }
        $isOwn = min($count) >= self::FEWEST_OF_A_KIND;
        [$figure, $look] = $isOwn ? [(float) ($seconds[true] / $count[true]), (float) ($seconds[false] / $count[false])] : self::TYPICAL;

        return ['figure' => $figure, 'look' => $look, 'own' => $isOwn];
    }
}
