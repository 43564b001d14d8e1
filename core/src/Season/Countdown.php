<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Measure\Day;

/** Everything that has a date, counted backwards from the first day of planting: each step ends before what needs it begins. */
final class Countdown
{
    /** Seed that does not fit a disc leaves time to get one. */
    private const SEED_FITS_BEFORE = 21;

    private const SEED_BEFORE = 14;

    /** What each step has to be done before; what is not named, before planting. */
    private const BEFORE = [
        'walk' => ['decisions'],
        'decisions' => ['parts_ordered', 'work'],
        'parts_ordered' => ['parts_here'],
        'parts_here' => ['work'],
        // Tires are pumped and the toolbar levelled once everything is on; meters are in before anything runs.
        'work' => ['level', 'first_pass'],
        'meters' => ['first_pass'],
        'level' => ['first_pass'],
        'monitor' => ['first_pass'],
    ];

    /**
     * @param  Day  $planting  its first day
     * @param  array<string, Ready>  $ready  by Step; one left out is not needed
     * @param  array<string, array{Day, bool}>  $own  of the shop's own: when due, and whether it is done
     * @return list<Deadline> by the day on which they are due, the job's own order within it
     */
    public static function of(Day $planting, Day $today, Crew $crew, array $ready, array $own = []): array
    {
        $deadlines = [];
        foreach (array_reverse(CountdownStep::cases()) as $step) {
            if (isset($ready[$step->value])) {
                $deadlines[$step->value] = self::deadline($step, $planting, $today, $crew, $ready[$step->value], $deadlines);
            }
        }
        $deadlines = array_reverse($deadlines, true);
        foreach ($own as $key => [$due, $isDone]) {
            $deadlines[$key] = new Deadline((string) $key, $due, $due, $isDone, ! $isDone && $due->isBefore($today), true);
        }
        $deadlines = array_values($deadlines);
        usort($deadlines, static fn (Deadline $one, Deadline $other): int => $one->due->iso <=> $other->due->iso);

        return $deadlines;
    }

    /** @param  array<string, Deadline>  $later  by Step, those that come after it */
    private static function deadline(CountdownStep $step, Day $planting, Day $today, Crew $crew, Ready $ready, array $later): Deadline
    {
        $due = match ($step) {
            CountdownStep::Seed => $planting->plusDays(-self::SEED_BEFORE),
            CountdownStep::SeedFits => $planting->plusDays(-self::SEED_FITS_BEFORE),
            default => $planting->plusDays(-1),
        };
        foreach (self::BEFORE[$step->value] ?? [] as $next) {
            $begins = ($later[$next] ?? null)->latestStart ?? ($later[$next] ?? null)->due ?? null;
            if ($begins !== null && $begins->plusDays(-1)->isBefore($due)) {
                $due = $begins->plusDays(-1);
            }
        }
        // What waits for the post is on its way from the day that it is ordered.
        $start = $ready->hours > 0 ? $crew->latestStart($due, $ready->hours) : $due->plusDays(-$ready->days);
        $since = $start ?? $due;

        return new Deadline($step->value, $due, $start, $ready->isDone, ! $ready->isDone && $since->isBefore($today), $ready->isByHand);
    }
}
