<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use DateTimeZone;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Moment;

/**
 * The acres of a planter, turned into furrow distance row by row.
 *
 * A day's acres count from the day's end, where the planter is: what is measured or fitted on a day comes before that
 * day's planting.
 */
final readonly class UseLog
{
    /**
     * @param  list<string>  $days  ascending, as 2026-04-28
     * @param  list<RowUse>  $whole  what a row that ran everything had run by the end of each day
     * @param  array<int, array{list<string>, list<RowUse>}>  $missed  by row: days and what had been missed by their end
     */
    private function __construct(
        private array $days,
        private array $whole,
        private array $missed,
        private DateTimeZone $zone,
    ) {
    }

    /**
     * @param  iterable<FieldRun>  $runs  in any order
     * @param  int  $rows  of the planter, 1 or more
     * @param  DateTimeZone  $zone  where the planter is
     */
    public static function of(iterable $runs, Length $spacing, int $rows, DateTimeZone $zone): self
    {
        $whole = [];
        $missed = [];
        foreach ($runs as $run) {
            $metres = FurrowDistance::ofRowAcres($run->acres / $rows, $spacing)->metres;
            $use = new RowUse($metres, $metres * $run->severity);
            $whole[$run->day->iso] = ($whole[$run->day->iso] ?? new RowUse)->plus($use);
            foreach ($run->shares as $row => $share) {
                $lost = new RowUse((1 - $share) * $use->metres, (1 - $share) * $use->effective);
                $missed[$row][$run->day->iso] = ($missed[$row][$run->day->iso] ?? new RowUse)->plus($lost);
            }
        }
        [$days, $sums] = self::summed($whole);

        return new self($days, $sums, array_map(self::summed(...), $missed), $zone);
    }

    /** What a row has run before the day of a moment. */
    public function before(int $row, Moment $moment): RowUse
    {
        $day = $this->dayOf($moment);
        $whole = self::at($this->days, $this->whole, $day);
        if (! isset($this->missed[$row])) {
            return $whole;
        }

        return $whole->minus(self::at($this->missed[$row][0], $this->missed[$row][1], $day));
    }

    /** What a row has run altogether. */
    public function total(int $row): RowUse
    {
        return $this->before($row, Moment::endOfTime());
    }

    /** How hard the ground has been on the whole before the day of a moment; 1 where nothing was logged. */
    public function severity(Moment $before): float
    {
        $sum = self::at($this->days, $this->whole, $this->dayOf($before));

        return $sum->metres > 0 ? $sum->effective / $sum->metres : 1.0;
    }

    private function dayOf(Moment $moment): string
    {
        return match ($moment->milliseconds) {
            PHP_INT_MIN => '',
            PHP_INT_MAX => '~',
            default => $moment->dayAt($this->zone),
        };
    }

    /**
     * @param  array<string, RowUse>  $byDay
     * @return array{list<string>, list<RowUse>} days ascending, and the sums up to their end
     */
    private static function summed(array $byDay): array
    {
        ksort($byDay);
        $sum = new RowUse;
        $sums = [];
        foreach ($byDay as $use) {
            $sums[] = $sum = $sum->plus($use);
        }

        return [array_keys($byDay), $sums];
    }

    /**
     * @param  list<string>  $days
     * @param  list<RowUse>  $sums
     */
    private static function at(array $days, array $sums, string $day): RowUse
    {
        // The first day that is not before the one asked for.
        $low = 0;
        $high = count($days);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($days[$middle] < $day) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $sums[$low - 1] ?? new RowUse;
    }
}
