<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;

/**
 * The acres of a planter, turned into furrow distance row by row.
 *
 * A day's acres count from the day's end: what is measured or fitted on a day comes before that day's planting.
 */
final readonly class UseLog
{
    /**
     * @param  list<string>  $days  ascending
     * @param  list<RowUse>  $whole  what a row that ran everything had run by the end of each day
     * @param  array<int, array{list<string>, list<RowUse>}>  $missed  by row: days and what had been missed by their end
     */
    private function __construct(
        private array $days,
        private array $whole,
        private array $missed,
    ) {
    }

    /**
     * @param  iterable<FieldRun>  $runs  in any order
     * @param  int  $rows  of the planter, 1 or more
     */
    public static function of(iterable $runs, Length $spacing, int $rows): self
    {
        $whole = [];
        $missed = [];
        foreach ($runs as $run) {
            $metres = FurrowDistance::ofRowAcres($run->acres / $rows, $spacing)->metres;
            $use = new RowUse($metres, $metres * $run->severity);
            $whole[$run->day] = ($whole[$run->day] ?? new RowUse)->plus($use);
            foreach ($run->shares as $row => $share) {
                $lost = new RowUse((1 - $share) * $use->metres, (1 - $share) * $use->effective);
                $missed[$row][$run->day] = ($missed[$row][$run->day] ?? new RowUse)->plus($lost);
            }
        }
        [$days, $sums] = self::summed($whole);

        return new self($days, $sums, array_map(self::summed(...), $missed));
    }

    /**
     * What a row has run before a day.
     *
     * @param  string  $moment  ISO 8601, a day or an instant in UTC
     */
    public function before(int $row, string $moment): RowUse
    {
        $day = substr($moment, 0, 10);
        $whole = self::at($this->days, $this->whole, $day);
        if (! isset($this->missed[$row])) {
            return $whole;
        }

        return $whole->minus(self::at($this->missed[$row][0], $this->missed[$row][1], $day));
    }

    /** What a row has run altogether. */
    public function total(int $row): RowUse
    {
        return $this->before($row, '9999-12-31');
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
