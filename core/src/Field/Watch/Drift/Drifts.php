<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Measure\Median;

/** One thing that is watched, of all rows of a planter and of what they share. */
final class Drifts
{
    /** Alarms wait until a row has been seen for so many blocks. */
    private const FEWEST = 6;

    /** With fewer rows there are no others to hold a row against; its own past has to do. */
    private const OTHERS = 3;

    /** So many blocks of a row that was off and is no more. */
    private const BACK = 6;

    /** By so small a share no rate is changed on purpose. */
    private const SAME_TARGET = 0.001;

    /** What is left beside a curve is not it where it is under three and a half standard errors. */
    private const BESIDE_CURVES = 12.25;

    /** @var array<int, Stream> by row */
    private array $rows = [];

    /** @var array<int, Stream> by number of the group */
    private array $shared = [];

    /** @var array<int, float> by row of an alarm that is open, how far it was off */
    private array $open = [];

    /** @var list<float> of all rows, the last blocks */
    private array $levels = [];

    /** All rows together against what is set; null as long as nobody tells that. */
    private ?Stream $whole = null;

    private ?float $target = null;

    /** How far all rows together were off; null where no alarm is open. */
    private ?float $wholeOff = null;

    /** @var list<int> those that were seen then */
    private array $wholeRows = [];

    /** @param  array<int, list<int>>  $groups  rows by number of the group */
    private function __construct(
        private readonly Watched $of,
        private readonly array $groups,
        private readonly Scatter $scatter,
        private readonly Scatter $groupScatter,
        private readonly Peaks $peaks,
        private readonly Peaks $groupPeaks,
        private readonly Curve $curve,
        private readonly Scatter $wholeScatter,
        private readonly Peaks $wholePeaks,
    ) {
    }

    /**
     * @param  array<int, list<int>>  $groups
     * @param  list<list<float|int>>|null  $learned  as learned() of the run before gave it
     */
    public static function begin(Watched $of, array $groups, ?array $learned = null): self
    {
        return new self(
            $of,
            $groups,
            isset($learned[0]) ? Scatter::of($learned[0]) : Scatter::believed($of->scatter()),
            isset($learned[1]) ? Scatter::of($learned[1]) : Scatter::believed(1.0),
            isset($learned[2]) ? Peaks::of($learned[2]) : Peaks::believed(),
            isset($learned[3]) ? Peaks::of($learned[3]) : Peaks::believed(),
            isset($learned[4]) ? Curve::of($learned[4]) : Curve::believed(),
            isset($learned[5]) ? Scatter::of($learned[5]) : Scatter::believed($of->scatter() / 2),
            isset($learned[6]) ? Peaks::of($learned[6]) : Peaks::believed(),
        );
    }

    /** Streams that can raise an alarm. */
    public function streams(): int
    {
        return $this->rows === [] ? 0 : count($this->of->troubles()) * (count($this->rows) + count($this->groups) + ($this->whole === null ? 0 : 1));
    }

    /**
     * @param  array<int, float>  $means  by row, over a block
     * @param  float|null  $target  that is set
     * @param  float  $blocks  to a false alarm of one stream
     * @return array{rows: non-empty-list<int>, group: int|null, direction: 1|-1, from: float, to: float, blocks: int}|null who is off, by more than chance
     */
    public function block(array $means, ?float $target, float $blocks): ?array
    {
        $scaled = array_map($this->of->scaled(...), $means);
        if ($scaled === []) {
            return null;
        }
        $level = $this->level($scaled, $target);
        $offs = $over = [];
        foreach ($scaled as $row => $figure) {
            $stream = $this->rows[$row] ??= new Stream;
            if ($stream->count >= Stream::FEWEST && ! isset($this->open[$row])) {
                $offs[$row] = $figure - $level - $stream->mean;
            }
        }
        $lean = $this->curve->lean($offs, sqrt($this->scatter->variance()));
        $middle = array_sum(array_keys($scaled)) / count($scaled);
        foreach ($scaled as $row => $figure) {
            $leaning = $lean * ($row - $middle);
            $offs[$row] = ($offs[$row] ?? 0.0) - $leaning;
            if ($this->row($row, $this->rows[$row], $figure - $level - $leaning, $blocks)) {
                $over[] = $row;
            }
        }
        $this->levels = array_slice([...$this->levels, $level], -2 * Stream::RING);
        $groupsOver = $this->groupsOver($offs, $blocks);

        $whole = $this->whole($level, $target, array_keys($scaled), $blocks);

        return $whole ?? ($over === [] && $groupsOver === [] ? null : $this->blamed($over, $groupsOver, array_keys($scaled), $level));
    }

    /** @return list<int> rows whose alarm was open and that are as they were */
    public function back(): array
    {
        $back = [];
        foreach ($this->open as $row => $far) {
            $lately = $this->rows[$row]->lately(self::BACK);
            if ($lately !== null && abs($lately) < min(abs($far), $this->of->worth()) / 2) {
                $back[] = $row;
                $this->rows[$row]->calm();
                unset($this->open[$row]);
            }
        }

        $lately = $this->wholeOff === null ? null : $this->whole?->lately(self::BACK);
        if ($lately !== null && abs($lately) < min(abs((float) $this->wholeOff), $this->of->worth()) / 2) {
            $this->wholeOff = null;

            // A row that is off by itself is not as it was because all of them are.
            return array_values(array_unique([...$back, ...array_keys(array_diff_key($this->rows, $this->open))]));
        }

        return $back;
    }

    /**
     * What these rows are like now is how they are to be from here on.
     *
     * @param  list<int>  $rows
     */
    public function accept(array $rows): void
    {
        if ($this->wholeOff !== null && $rows === $this->wholeRows) {
            $this->whole?->startAnew();
            $this->wholeOff = null;

            return;
        }
        foreach ($rows as $row) {
            ($this->rows[$row] ?? null)?->startAnew();
            unset($this->open[$row]);
        }
    }

    /** Scatter of one row over a block, scaled. */
    public function sd(int $row): float
    {
        return sqrt(isset($this->rows[$row]) ? $this->rows[$row]->variance($this->scatter->variance()) : $this->scatter->variance());
    }

    /** What a row is off by of itself, scaled. */
    public function usual(int $row): float
    {
        return isset($this->rows[$row]) ? $this->rows[$row]->mean : 0.0;
    }

    /** @return list<list<float>> for the next run */
    public function learned(): array
    {
        return array_map(static fn (Scatter|Peaks|Curve $of): array => $of->carriedOver()->toList(), [$this->scatter, $this->groupScatter, $this->peaks, $this->groupPeaks, $this->curve, $this->wholeScatter, $this->wholePeaks]);
    }

    /** @param  non-empty-array<int, float>  $scaled */
    private function level(array $scaled, ?float $target): float
    {
        if (count($scaled) < self::OTHERS) {
            return $target === null ? 0.0 : $this->of->scaled($target);
        }
        $past = [];
        foreach ($scaled as $row => $figure) {
            if (($this->rows[$row]->count ?? 0) > 0 && ! isset($this->open[$row])) {
                $past[] = $figure - $this->rows[$row]->mean;
            }
        }

        return Median::of(count($past) < self::OTHERS ? array_values($scaled) : $past);
    }

    private function row(int $row, Stream $stream, float $figure, float $blocks): bool
    {
        $isOpen = isset($this->open[$row]);
        $z = $stream->take($figure, $this->scatter, ! $isOpen);

        return $z !== null && ! $isOpen && $this->isOver($stream, $z, $this->sd($row), $this->scatter->ratio(), $this->peaks, $blocks);
    }

    /** Whether it is over in a direction that means trouble. */
    private function isOver(Stream $stream, float $z, float $sd, float $ratio, Peaks $peaks, float $blocks): bool
    {
        $thresholds = DriftThresholds::typical();
        $allowance = $thresholds->allowance($this->of->worth() / (2 * max($sd, $this->of->worth() / 4)));
        $log = $peaks->ask(log($blocks));
        $threshold = $thresholds->of($allowance, $ratio);
        $wide = $stream->caution($log, $ratio) ** 2 * $stream->newness($threshold->height($log), $allowance);
        $highest = 0.0;
        foreach ($this->of->troubles() as $direction) {
            $highest = max($highest, $stream->sum($z, $allowance, $threshold, $wide, $peaks, $direction));
        }

        return $highest > $log && $stream->count >= self::FEWEST;
    }

    /**
     * @param  array<int, float>  $offs
     * @return list<int> numbers of the groups that are over
     */
    private function groupsOver(array $offs, float $blocks): array
    {
        $over = [];
        foreach ($this->groups as $number => $rows) {
            $inner = $outer = [];
            foreach ($offs as $row => $off) {
                if (isset($this->open[$row]) || $this->rows[$row]->count < Stream::FEWEST) {
                    continue;
                }
                $sd = $this->sd($row);
                $cut = max(-Stream::CUT * $sd, min(Stream::CUT * $sd, $off));
                in_array($row, $rows, true) ? $inner[] = $cut : $outer[] = $cut;
            }
            if (count($inner) < 2 || $outer === []) {
                continue;
            }
            // In units of what rows that go their own ways would scatter by.
            $alone = sqrt($this->scatter->variance() * (1 / count($inner) + 1 / count($outer)));
            $off = (array_sum($inner) / count($inner) - array_sum($outer) / count($outer)) / $alone;
            $stream = $this->shared[$number] ??= new Stream;
            $z = $stream->take($off, $this->groupScatter, true);
            $sd = sqrt($stream->variance($this->groupScatter->variance())) * $alone;
            if ($z !== null && $this->isOver($stream, $z, $sd, $this->groupScatter->ratio(), $this->groupPeaks, $blocks)) {
                $over[] = $number;
            }
        }

        return $over;
    }

    /**
     * All rows together against what is set: what drives or feeds all of them. Just after that was changed nobody knows.
     *
     * @param  non-empty-list<int>  $there  rows that were seen
     * @return array{rows: non-empty-list<int>, group: int|null, direction: 1|-1, from: float, to: float, blocks: int}|null
     */
    private function whole(float $level, ?float $target, array $there, float $blocks): ?array
    {
        [$before, $this->target] = [$this->target, $target];
        if ($target === null || $before === null || $target <= 0 || abs($target / $before - 1) > self::SAME_TARGET || count($there) < self::OTHERS) {
            return null;
        }
        $stream = $this->whole ??= new Stream;
        $set = $this->of->scaled($target);
        $z = $stream->take($level - $set, $this->wholeScatter, $this->wholeOff === null);
        $sd = sqrt($stream->variance($this->wholeScatter->variance()));
        if ($z === null || $this->wholeOff !== null || ! $this->isOver($stream, $z, $sd, $this->wholeScatter->ratio(), $this->wholePeaks, $blocks)) {
            return null;
        }
        $span = max(2, min(Stream::RING, $stream->since(($stream->lately(Stream::RING) ?? 0.0) < 0 ? -1 : 1)));
        $off = (float) $stream->lately($span);
        $stream->calm();
        [$this->wholeOff, $this->wholeRows] = [$off, $there];
        $group = array_search($there, $this->groups, true);

        return ['rows' => $there, 'group' => $group === false ? null : $group, 'direction' => $off < 0 ? -1 : 1, 'from' => $this->of->back($set + $stream->mean), 'to' => $this->of->back($set + $stream->mean + $off), 'blocks' => $span];
    }

    /**
     * @param  list<int>  $over  rows
     * @param  list<int>  $groupsOver
     * @param  list<int>  $there  rows that were seen
     * @return array{rows: non-empty-list<int>, group: int|null, direction: 1|-1, from: float, to: float, blocks: int}|null null where nobody is to blame after all
     */
    private function blamed(array $over, array $groupsOver, array $there, float $level): ?array
    {
        $leader = $over !== [] ? $this->rows[$over[0]] : $this->shared[$groupsOver[0]];
        $blocks = max(2, min(Stream::RING, $leader->since(($leader->lately(Stream::RING) ?? 0.0) < 0 && in_array(-1, $this->of->troubles(), true) ? -1 : 1)));
        [$off, $weights] = $this->offs($there, $blocks);
        // What else is over at the same time is so because of these, as a rule: it will be again where it is not.
        $this->calm($over, $groupsOver);
        if ($off === []) {
            return null;
        }
        $leans = $this->curve->many() > Curve::CURVES;
        [$rows, $group, $explained] = Blame::of($off, $weights, $this->groups, $this->moved($blocks), $leans);
        // Who has gone over by itself is surer than who explains most.
        $rows = $group === null && isset($over[0], $off[$over[0]]) ? [$over[0]] : $rows;
        $far = array_sum(array_map(static fn (int $row): float => $off[$row], $rows)) / count($rows);
        $direction = $far < 0 ? -1 : 1;
        $isCurve = $leans && $over === [] && $explained < self::BESIDE_CURVES;
        if ($isCurve || ! in_array($direction, $this->of->troubles(), true)) {
            return null;
        }
        foreach ($rows as $row) {
            $this->open[$row] = $far;
        }
        $this->calm($rows, array_keys(array_filter($this->groups, static fn (array $of): bool => array_intersect($of, $rows) !== [])));
        $usual = array_sum(array_map($this->usual(...), $rows)) / count($rows) + $level;

        return ['rows' => $rows, 'group' => $group, 'direction' => $direction, 'from' => $this->of->back($usual), 'to' => $this->of->back($usual + $far), 'blocks' => $blocks];
    }

    /**
     * @param  list<int>  $there  rows that were seen
     * @return array{array<int, float>, array<int, float>} how far each was off over the last blocks, what leans with it, and one over the variance of that
     */
    private function offs(array $there, int $blocks): array
    {
        $seen = array_values(array_filter($there, fn (int $row): bool => ! isset($this->open[$row]) && $this->rows[$row]->count >= Stream::FEWEST));
        [$lean, $middle] = [$this->curve->lately($blocks), array_sum($seen) / max(1, count($seen))];
        $off = $weights = [];
        foreach ($seen as $row) {
            $off[$row] = (float) $this->rows[$row]->lately($blocks) + $lean * ($row - $middle);
            $weights[$row] = $blocks / ($this->sd($row) ** 2 * $this->scatter->ratio());
        }

        return [$off, $weights];
    }

    /**
     * @param  list<int>  $rows
     * @param  list<int>  $groups  by number
     */
    private function calm(array $rows, array $groups): void
    {
        foreach ($rows as $row) {
            $this->rows[$row]->calm();
        }
        foreach ($groups as $number) {
            ($this->shared[$number] ?? null)?->calm();
        }
    }

    /** How far the level of all rows has moved over the last blocks against those before anything began. */
    private function moved(int $blocks): float
    {
        $last = array_slice($this->levels, -$blocks);
        $before = array_slice($this->levels, 0, -Stream::RING);

        return $last === [] || $before === [] ? 0.0 : Median::of($last) - Median::of($before);
    }
}
