<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/** Which rows are worth digging first: the ends of the wings, behind the tractor's tracks, and those with a record. Domain, 15. */
final class RowsToDig
{
    /** Of the tractor's wheels from its centre line, millimetres: typical, 60 in. */
    private const TRACK = 1524.0;

    private const MOST = 6;

    /**
     * @param  int  $rows  of the planter
     * @param  float  $width  between rows, millimetres
     * @param  list<int>  $recorded  rows with a record, the worst first
     * @param  list<int>  $parked  rows that do not plant
     * @return array<int, 'record'|'wing'|'track'> by row, why; the first reason that it has
     */
    public static function of(int $rows, float $width, array $recorded, array $parked = []): array
    {
        $running = array_values(array_diff(range(1, $rows), $parked));
        $recorded = array_values(array_diff($recorded, $parked));
        $chosen = [];
        foreach (array_slice($recorded, 0, 2) as $row) {
            $chosen[$row] = 'record';
        }
        foreach ([$running[0] ?? 1, $running[count($running) - 1] ?? $rows] as $row) {
            $chosen[$row] ??= 'wing';
        }
        $off = self::TRACK / $width;
        foreach ([-1, 1] as $side) {
            $row = (int) round(($rows + 1) / 2 + $side * $off);
            // Of a parked row the next one that runs in the same track.
            $row = in_array($row, $parked, true) ? $row + (in_array($row + $side, $parked, true) ? -$side : $side) : $row;
            if (in_array($row, $running, true)) {
                $chosen[$row] ??= 'track';
            }
        }
        foreach (array_slice($recorded, 2) as $row) {
            if (count($chosen) < self::MOST) {
                $chosen[$row] ??= 'record';
            }
        }
        ksort($chosen);

        return $chosen;
    }
}
