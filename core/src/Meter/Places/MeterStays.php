<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Places;

use Ustrel\Core\Measure\Moment;

/** Where each of a shop's meters was and when, by its moves. */
final class MeterStays
{
    /**
     * @param  list<MeterPlacement>  $moves  in any order; of two at one instant the one with the later id stands
     * @return array<int, non-empty-list<MeterStay>> by meter, the earliest first
     */
    public static function of(array $moves): array
    {
        usort($moves, static fn (MeterPlacement $one, MeterPlacement $other): int => [$one->meter, $one->at->milliseconds, $one->id] <=> [$other->meter, $other->at->milliseconds, $other->id]);
        $stays = [];
        foreach ($moves as $at => $move) {
            $next = $moves[$at + 1] ?? null;
            $stays[$move->meter][] = new MeterStay($move, $next?->meter === $move->meter ? $next->at : null);
        }

        return $stays;
    }

    /**
     * @param  array<int, non-empty-list<MeterStay>>  $stays
     * @return array{MeterStay, MeterStay}|null the first two that are in one row at once, the earlier move first
     */
    public static function clash(array $stays): ?array
    {
        $byRow = [];
        foreach (array_merge(...array_values($stays)) as $stay) {
            if ($stay->move->row !== null) {
                $byRow[implode(':', $stay->move->row)][] = $stay;
            }
        }
        foreach ($byRow as $inRow) {
            usort($inRow, static fn (MeterStay $one, MeterStay $other): int => $one->move->at->milliseconds <=> $other->move->at->milliseconds);
            foreach ($inRow as $at => $stay) {
                foreach (array_slice($inRow, $at + 1) as $later) {
                    if ($stay->clashes($later)) {
                        return [$stay, $later];
                    }
                }
            }
        }

        return null;
    }

    /**
     * Whose a run on the stand is: the meter's that is in the row, or else that was in it last and in no other row since, as one that is out is.
     *
     * @param  array<int, non-empty-list<MeterStay>>  $stays
     * @param  array{int, int}  $row  planter and row
     */
    public static function meterOf(array $stays, array $row, Moment $at): ?int
    {
        $last = null;
        foreach ($stays as $meter => $ofMeter) {
            $home = null;
            foreach ($ofMeter as $stay) {
                if ($stay->move->at->isAfter($at)) {
                    break;
                }
                if ($stay->move->row === $row && $stay->covers($at)) {
                    return $meter;
                }
                $home = $stay->move->row === null ? $home : $stay;
            }
            if ($home?->move->row === $row && ($last === null || $home->move->at->isAfter($last->move->at))) {
                $last = $home;
            }
        }

        return $last?->move->meter;
    }
}
