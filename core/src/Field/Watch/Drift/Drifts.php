<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Measure\Median;

/** One thing that is watched, of all rows of a planter and of what they share. */
final class Drifts
{
    /** With fewer rows there are no others to hold a row against; its own past has to do. */
    private const OTHERS = 3;

    /** So many blocks of a row that was off and is no more. */
    private const BACK = 6;

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

    /** @param  array<int, list<int>>  $groups  rows by number of the group */
    private function __construct(
        private readonly Watched $of,
        private readonly array $groups,
        private readonly StreamKind $kind,
        private readonly StreamKind $groupKind,
        private readonly Curve $curve,
        private readonly Whole $whole,
        private readonly FastLoss $fast,
    ) {
    }

    /**
     * @param  array<int, list<int>>  $groups
     * @param  list<list<float|int>>|null  $learned  as learned() of the run before gave it
     */
    public static function begin(Watched $of, array $groups, ?array $learned = null): self
    {
        [$scatter, $groupScatter, $peaks, $groupPeaks, $curve, $wholeScatter, $wholePeaks, $fastScatter, $fastCurve] = array_pad($learned ?? [], 9, null);

        return new self(
            $of,
            $groups,
            StreamKind::begin([$scatter, $peaks], $of->scatter()),
            StreamKind::begin([$groupScatter, $groupPeaks], 1.0),
            $curve === null ? Curve::believed() : Curve::of($curve),
            new Whole($of, StreamKind::begin([$wholeScatter, $wholePeaks], $of->scatter() / 2)),
            FastLoss::begin($of->scatter(), $fastScatter === null || $fastCurve === null ? null : [$fastScatter, $fastCurve]),
        );
    }

    /** Streams that can raise an alarm. */
    public function streams(): int
    {
        return $this->rows === [] ? 0 : count($this->of->troubles()) * (count($this->rows) + count($this->groups) + ($this->whole->isWatched() ? 1 : 0));
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
        $lean = $this->curve->lean($offs, $this->kind->sd(null));
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

        return $this->whole($level, $target, array_keys($scaled), $blocks) ?? ($over === [] && $groupsOver === [] ? null : $this->blamed($over, $groupsOver, array_keys($scaled), $level));
    }

    /**
     * A look of some two seconds at rows that may have lost much at once.
     *
     * @param  array<int, float>  $means  by row
     * @param  float  $looks  to a false alarm of one stream
     * @return array{rows: non-empty-list<int>, group: int|null, direction: -1, from: float, to: float, blocks: int}|null who loses; blocks are looks
     */
    public function fast(array $means, float $looks): ?array
    {
        $scaled = array_map($this->of->scaled(...), array_diff_key($means, $this->open));
        if (count($scaled) < self::OTHERS) {
            return null;
        }
        $over = $this->fast->look($scaled, $looks);
        if ($over === []) {
            return null;
        }
        $since = min(5, $this->fast->since($over[0]));
        $off = array_intersect_key($this->fast->offs($since), $scaled);
        $this->fast->calm($over);
        if (! isset($off[$over[0]])) {
            return null;
        }
        [$rows, $group] = Blame::of($off, array_fill_keys(array_keys($off), 1 / $this->fast->variance($since)), $this->groups, 0.0, $this->fast->leans());
        $rows = $group === null ? [$over[0]] : $rows;
        $far = array_sum(array_map(static fn (int $row): float => $off[$row], $rows)) / count($rows);
        if ($far >= 0) {
            return null;
        }
        $others = array_diff_key($scaled, array_flip($rows));
        $level = Median::of($others === [] ? array_values($scaled) : array_values($others));
        foreach ($rows as $row) {
            $this->open[$row] = $far;
            ($this->rows[$row] ?? null)?->forgetLately();
        }
        $this->fast->forget($rows);
        $this->calm($rows, array_keys(array_filter($this->groups, static fn (array $of): bool => array_intersect($of, $rows) !== [])));

        return ['rows' => $rows, 'group' => $group, 'direction' => -1, 'from' => $this->of->back($level), 'to' => $this->of->back($level + $far), 'blocks' => $since];
    }

    /** Streams that a look goes over. */
    public function fastStreams(): int
    {
        return max(1, $this->fast->streams());
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
        if ($this->whole->isBack(self::BACK)) {
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
        if ($this->whole->accept($rows)) {
            return;
        }
        foreach ($rows as $row) {
            ($this->rows[$row] ?? null)?->startAnew();
            unset($this->open[$row]);
        }
        $this->fast->forget($rows);
    }

    /** Scatter of one row over a block, scaled. */
    public function sd(int $row): float
    {
        return $this->kind->sd($this->rows[$row] ?? null);
    }

    /** What a row is off by of itself, scaled. */
    public function usual(int $row): float
    {
        return isset($this->rows[$row]) ? $this->rows[$row]->mean : 0.0;
    }

    /** @return list<list<float>> for the next run */
    public function learned(): array
    {
        [[$scatter, $peaks], [$groupScatter, $groupPeaks], [$wholeScatter, $wholePeaks]] = [$this->kind->learned(), $this->groupKind->learned(), $this->whole->learned()];

        return [$scatter, $groupScatter, $peaks, $groupPeaks, $this->curve->carriedOver()->toList(), $wholeScatter, $wholePeaks, ...$this->fast->learned()];
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
        $z = $stream->take($figure, $this->kind->scatter, ! $isOpen);

        return $z !== null && ! $isOpen && $this->kind->isOver($this->of, $stream, $z, $this->sd($row), $blocks);
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
            $alone = $this->kind->sd(null) * sqrt(1 / count($inner) + 1 / count($outer));
            $off = (array_sum($inner) / count($inner) - array_sum($outer) / count($outer)) / $alone;
            $stream = $this->shared[$number] ??= new Stream;
            $z = $stream->take($off, $this->groupKind->scatter, true);
            if ($z !== null && $this->groupKind->isOver($this->of, $stream, $z, $this->groupKind->sd($stream) * $alone, $blocks)) {
                $over[] = $number;
            }
        }

        return $over;
    }

    /**
     * @param  non-empty-list<int>  $there  rows that were seen
     * @return array{rows: non-empty-list<int>, group: int|null, direction: 1|-1, from: float, to: float, blocks: int}|null
     */
    private function whole(float $level, ?float $target, array $there, float $blocks): ?array
    {
        $found = count($there) < self::OTHERS ? null : $this->whole->block($level, $target, $blocks, $there);
        if ($found === null) {
            return null;
        }
        $group = array_search($there, $this->groups, true);

        return ['rows' => $there, 'group' => $group === false ? null : $group, 'direction' => $found['off'] < 0 ? -1 : 1, 'from' => $found['from'], 'to' => $found['to'], 'blocks' => $found['blocks']];
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
            $weights[$row] = $blocks / ($this->sd($row) ** 2 * $this->kind->scatter->ratio());
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
