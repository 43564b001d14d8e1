<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

use Ustrel\Core\Measure\Median;

/**
 * Rows that suddenly lose a tenth or more, looked at every other second beside the slow chart that finds a fiftieth: a CUSUM of log-likelihood
 * ratios between a loss of that size and none (Page; by Lorden a threshold of log n gives at least n looks to a false alarm). What
 * scatters, and how long it hangs together, is learned from all rows at once.
 */
final class FastLoss
{
    /** Seconds of planting of one look. */
    public const SECONDS = 2;

    /** The loss that it is tuned for, as a logarithm of the rate. */
    private const LOSS = 0.105;

    /** Looks of a row before it can be over: a minute, or five of them where nothing was learned on this planter before. */
    private const FEWEST = 30;

    private const FEWEST_NEW = 120;

    /** It takes so many looks at least: one that is off by any amount is an outlier. */
    private const LOOKS = 3.0;

    /** Standard errors of what is usual of a row that are taken off for not knowing it better. */
    private const UNSURE = 1.5;

    /** False alarms of its own to those that are wanted in all. */
    private const SHARE = 0.1;

    /** Of a threshold: a sum that has climbed so far keeps its row from learning what may be a loss. */
    private const CLIMBS = 0.25;

    /** @var array<int, FastRow> by row */
    private array $rows = [];

    private function __construct(
        private readonly RowScatter $scatter,
        private readonly Curve $curve,
        private readonly bool $isNew,
    ) {
    }

    /**
     * @param  float  $sd  of a row over ten seconds, as long as nothing was learned
     * @param  array{list<float|int>, list<float|int>}|null  $learned  as learned() gave it
     */
    public static function begin(float $sd, ?array $learned): self
    {
        return $learned === null
            ? new self(RowScatter::believed($sd * sqrt(10 / self::SECONDS)), Curve::believed(), true)
            : new self(RowScatter::of($learned[0]), Curve::of($learned[1]), false);
    }

    /** @return array{list<float>, list<float>} for the next run */
    public function learned(): array
    {
        return [$this->scatter->carriedOver()->toList(), $this->curve->carriedOver()->toList()];
    }

    /** Streams that can raise an alarm. */
    public function streams(): int
    {
        return count($this->rows);
    }

    /**
     * @param  non-empty-array<int, float>  $logs  of what each row brings, by row; three at least
     * @param  float  $looks  to a false alarm of one stream, of all that watch the planter
     * @return list<int> rows that lose, by more than chance
     */
    public function look(array $logs, float $looks): array
    {
        $level = $this->level($logs);
        $offs = [];
        foreach ($logs as $row => $log) {
            $of = $this->rows[$row] ??= new FastRow;
            if ($of->count > 0) {
                $offs[$row] = $log - $level - $of->mean;
            }
        }
        $lean = $this->curve->lean($offs, sqrt($this->scatter->variance()));
        $middle = array_sum(array_keys($logs)) / count($logs);
        // Of a mean over some looks, times their number: what hangs together scatters more in the long run.
        $variance = $this->scatter->variance() * max(1.0, $this->scatter->ratio());
        $height = log(max(10.0, $looks / self::SHARE));
        $fewest = $this->isNew ? self::FEWEST_NEW : self::FEWEST;
        $over = [];
        foreach ($logs as $row => $log) {
            $of = $this->rows[$row];
            $figure = $log - $level - $lean * ($row - $middle);
            $lost = $of->mean - $figure - self::UNSURE * sqrt($variance / max(1, $of->count));
            $of->sum(min($height / self::LOOKS, self::LOSS / $variance * ($lost - self::LOSS / 2)));
            if ($of->count >= $fewest && $of->sum > $height) {
                $over[] = $row;
            }
            $of->take($figure, $this->scatter, $of->sum < self::CLIMBS * $height);
        }

        return $over;
    }

    /**
     * @param  int  $looks  the last of them
     * @return array<int, float> how far each row was off on the mean over the last looks
     */
    public function offs(int $looks): array
    {
        return array_map(static fn (FastRow $of): float => $of->lately($looks), array_filter($this->rows, static fn (FastRow $of): bool => $of->count >= self::FEWEST));
    }

    /** Looks for which a row's loss has been going on. */
    public function since(int $row): int
    {
        return max(1, $this->rows[$row]->since ?? 1);
    }

    /** Variance of a row's mean over so many looks. */
    public function variance(int $looks): float
    {
        return $this->scatter->variance() * max(1.0, $this->scatter->ratio()) / $looks;
    }

    public function leans(): bool
    {
        return $this->curve->many() > Curve::CURVES;
    }

    /**
     * What these rows bring from now on is not held against what they brought before.
     *
     * @param  list<int>  $rows
     */
    public function forget(array $rows): void
    {
        foreach ($rows as $row) {
            unset($this->rows[$row]);
        }
    }

    /** @param  list<int>  $rows */
    public function calm(array $rows): void
    {
        foreach ($rows as $row) {
            ($this->rows[$row] ?? null)?->calm();
        }
    }

    /** @param  non-empty-array<int, float>  $logs */
    private function level(array $logs): float
    {
        $past = [];
        foreach ($logs as $row => $log) {
            if (($this->rows[$row]->count ?? 0) > 0) {
                $past[] = $log - $this->rows[$row]->mean;
            }
        }

        return Median::of(count($past) < 3 ? array_values($logs) : $past);
    }
}
