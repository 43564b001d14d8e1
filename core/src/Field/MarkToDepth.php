<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

use Ustrel\Core\Measure\Student;

/**
 * What a mark of a depth scale without notches (slid shank, bolt-on band, screw) is worth as depth: the straight line of least
 * squares through the planter's own digs. Two marks give a line, three digs or more a line with its interval.
 */
final readonly class MarkToDepth
{
    /** Of the depths of new digs at a mark, this share lies within the interval. */
    private const SHARE = 0.9;

    private function __construct(
        /** Millimetres at mark 0. */
        private float $start,
        /** Millimetres a mark; never 0. */
        public float $slope,
        private int $digs,
        private float $meanMark,
        /** Sum of squares of the marks about their mean. */
        private float $spread,
        /** Standard deviation of a dig about the line, millimetres; null with two digs, which leave nothing over to tell it by. */
        public ?float $sd,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $digs  mark and depth in millimetres, in any order
     *
     * @throws TooFewMarks where the digs are not at two different marks, or the depth is the same at all of them
     */
    public static function fit(array $digs): self
    {
        $count = count($digs);
        if ($count < 2) {
            throw TooFewMarks::of($count);
        }
        $meanMark = array_sum(array_column($digs, 0)) / $count;
        $meanDepth = array_sum(array_column($digs, 1)) / $count;
        $spread = $together = 0.0;
        foreach ($digs as [$mark, $depth]) {
            $spread += ($mark - $meanMark) ** 2;
            $together += ($mark - $meanMark) * ($depth - $meanDepth);
        }
        if ($spread <= 0.0) {
            throw TooFewMarks::of(1);
        }
        $slope = $together / $spread;
        if (abs($slope) * sqrt($spread) < 1e-9) {
            throw TooFewMarks::withoutEffect();
        }
        $start = $meanDepth - $slope * $meanMark;
        $residual = 0.0;
        foreach ($digs as [$mark, $depth]) {
            $residual += ($depth - $start - $slope * $mark) ** 2;
        }

        return new self($start, $slope, $count, $meanMark, $spread, $count === 2 ? null : sqrt($residual / ($count - 2)));
    }

    /** The depth to be expected at a mark, millimetres. */
    public function depthAt(float $mark): float
    {
        return $this->start + $this->slope * $mark;
    }

    /**
     * Whether a mark moves the depth by more than digs may differ by themselves.
     *
     * @param  float  $depth  millimetres by which the depth over all marks may differ by chance: of one dig, for the marks' own spread
     */
    public function isSteeperThan(float $depth): bool
    {
        return abs($this->slope) * sqrt($this->spread) > $depth;
    }

    /** The mark at which a depth in millimetres is to be expected. */
    public function markFor(float $depth): float
    {
        return ($depth - $this->start) / $this->slope;
    }

    /**
     * Between which depths nine in ten digs at a mark are to be expected; millimetres.
     *
     * @return array{float, float}|null null with two digs
     */
    public function interval(float $mark): ?array
    {
        if ($this->sd === null) {
            return null;
        }
        $wide = Student::quantile((1 + self::SHARE) / 2, $this->digs - 2) * $this->sd
            * sqrt(1 + 1 / $this->digs + ($mark - $this->meanMark) ** 2 / $this->spread);

        return [$this->depthAt($mark) - $wide, $this->depthAt($mark) + $wide];
    }
}
