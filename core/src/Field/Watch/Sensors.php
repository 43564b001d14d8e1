<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

use Ustrel\Core\Measure\Median;

/** Sensors that say nothing any more, always the same, or what cannot be. */
final class Sensors
{
    /** Seconds of planting without a word. */
    private const SILENT = 10.0;

    /** Seconds of the same figure, while those of the others have changed so often on the mean: one that is told coarsely changes seldom. */
    private const STUCK = 60.0;

    private const CHANGES = 15.0;

    /** So many impossible figures within the last half minute or so of moments. */
    private const JUMPS = 3.0;

    private const FORGETS = 30.0;

    /** @var array<string, array<int, array{float|null, float, float, float, float}>> last figure, seconds of it, seconds of silence, jumps and changes that fade; by row, by what is watched */
    private array $rows = [];

    /** @var array<string, true> that an alarm was raised about, by what is watched and row */
    private array $told = [];

    /**
     * @param  list<int>  $off  rows that do not count
     * @return list<RaisedAlarm>
     */
    public function take(MonitorLine $line, float $seconds, array $off): array
    {
        $alarms = [];
        foreach ($line->values as $key => $values) {
            $of = Watched::from($key);
            $jumped = $line->jumped[$key] ?? [];
            foreach ($values as $at => $figure) {
                $row = $at + 1;
                if (in_array($row, $off, true)) {
                    unset($this->rows[$key][$row]);

                    continue;
                }
                [$last, $same, $silent, $jumps, $changes] = $this->rows[$key][$row] ?? [null, 0.0, 0.0, 0.0, 0.0];
                $jumps = in_array($row, $jumped, true) ? $jumps + 1 : $jumps * exp(-$seconds / self::FORGETS);
                $isSame = $figure !== null && $figure === $last;
                $changes = $changes * exp(-$seconds / self::STUCK) + ($figure !== null && $last !== null && ! $isSame ? 1 : 0);
                $this->rows[$key][$row] = [$figure ?? $last, $isSame ? $same + $seconds : ($figure === null ? $same : 0.0), $figure === null && ! in_array($row, $jumped, true) ? $silent + $seconds : 0.0, $jumps, $changes];
            }
            $alarms = [...$alarms, ...$this->alarms($line->ms, $of)];
        }

        return $alarms;
    }

    /** @return list<RaisedAlarm> */
    private function alarms(int $ms, Watched $of): array
    {
        $alarms = [];
        $rows = $this->rows[$of->value] ?? [];
        $othersChange = count($rows) > 1 && Median::of(array_column($rows, 4)) >= self::CHANGES;
        foreach ($rows as $row => [$last, $same, $silent, $jumps]) {
            $kind = match (true) {
                $last !== null && $silent >= self::SILENT => AlarmKind::Silent,
                $jumps >= self::JUMPS => AlarmKind::Jumps,
                // None is what skips and doubles are for minutes, and a row that brings nothing is told otherwise.
                $othersChange && $same >= self::STUCK && $last > 0 && $of->troubles() !== [1] => AlarmKind::Stuck,
                default => null,
            };
            $key = "{$of->value} {$row}";
            if ($kind === null) {
                if ($same < 1 && $silent === 0.0 && $jumps < 1) {
                    unset($this->told[$key]);
                }
            } elseif (! isset($this->told[$key])) {
                $this->told[$key] = true;
                $alarms[] = new RaisedAlarm($ms, $kind, $of, [$row], seconds: (int) ($kind === AlarmKind::Silent ? $silent : $same));
            }
        }

        return $alarms;
    }

    /** A row's sensor that is in doubt tells nothing of the row. */
    public function isDoubted(Watched $of, int $row): bool
    {
        return isset($this->told["{$of->value} {$row}"]);
    }
}
