<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** Sums of what sensors told, by what is watched and by row. */
final class Tally
{
    /** @var array<string, array<int, array{int, float, float}>> count, sum and sum of squares by row, by what is watched */
    private array $sums = [];

    public float $seconds = 0.0;

    private int $moments = 0;

    /** @param  list<int>  $off  rows that do not count */
    public function add(MonitorLine $line, float $seconds, array $off): void
    {
        $this->seconds += $seconds;
        $this->moments++;
        foreach ($line->values as $of => $values) {
            foreach ($values as $at => $figure) {
                if ($figure !== null && ! in_array($at + 1, $off, true)) {
                    [$count, $sum, $squares] = $this->sums[$of][$at + 1] ?? [0, 0.0, 0.0];
                    $this->sums[$of][$at + 1] = [$count + 1, $sum + $figure, $squares + $figure ** 2];
                }
            }
        }
    }

    /** @return array<int, float> by row, of those that told at least half of the time */
    public function means(Watched $of): array
    {
        $means = [];
        foreach ($this->sums[$of->value] ?? [] as $row => [$count, $sum]) {
            if (2 * $count >= $this->moments) {
                $means[$row] = $sum / $count;
            }
        }

        return $means;
    }

    /** @return array<int, float> by row */
    public function deviations(Watched $of): array
    {
        return array_map(static fn (array $sums): float => sqrt(max(0.0, $sums[2] / $sums[0] - ($sums[1] / $sums[0]) ** 2)), $this->sums[$of->value] ?? []);
    }
}
