<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/**
 * Who is to blame: one row, or what rows share. Each row by itself and each group is tried as the ones that have moved; the best is
 * what explains most of how far all rows are off (weighted sum of squares between the two sides). Where the two sides are each
 * other's complement both explain the same, and what has moved against its own past is to blame.
 */
final class Blame
{
    /** Without its farthest row a group is still off by so many standard errors, or it is that row alone. */
    private const SHARED = 2.5;

    private const ALIKE = 1e-6;

    /**
     * @param  non-empty-array<int, float>  $off  by row, how far it is off the others, on the mean over a while
     * @param  array<int, float>  $weights  by row, one over the variance of that
     * @param  array<int, list<int>>  $groups  rows by number of the group
     * @param  float  $moved  how far the level of all rows has moved itself against what it was
     * @param  bool  $leans  whether there are curves: what leans from one wing to the other is nobody's fault then
     * @return array{non-empty-list<int>, int|null, float} the rows to blame, the number of the group where it is one, and what they explain (chi-square of one degree)
     */
    public static function of(array $off, array $weights, array $groups, float $moved, bool $leans): array
    {
        $left = self::without($off, $weights, $leans);
        [$blamed, $best, $number, $step] = [[array_key_first($off)], 0.0, null, 0.0];
        foreach (array_keys($off) as $row) {
            $explained = self::explained($left, $weights, [$row], $leans);
            [$blamed, $best] = $explained > $best ? [[$row], $explained] : [$blamed, $best];
        }
        foreach ($groups as $of => $rows) {
            $there = array_values(array_intersect($rows, array_keys($off)));
            if (count($there) < 2 || count($there) === count($off)) {
                continue;
            }
            $explained = self::explained($left, $weights, $there, $leans);
            $side = array_sum(array_intersect_key($off, array_flip($there))) / count($there);
            $isMore = $explained > $best * (1 + self::ALIKE);
            $isAlike = ! $isMore && $number !== null && $explained > $best * (1 - self::ALIKE);
            if (($isMore || ($isAlike && abs($side + $moved) > abs($step + $moved))) && self::isShared($off, $weights, $there, $leans)) {
                [$blamed, $best, $number, $step] = [$there, max($best, $explained), $of, $side];
            }
        }

        return [$blamed, $number, $best];
    }

    /**
     * @param  array<int, float>  $left  what is to be explained
     * @param  array<int, float>  $weights
     * @param  list<int>  $rows
     */
    private static function explained(array $left, array $weights, array $rows, bool $leans): float
    {
        $is = [];
        foreach (array_keys($left) as $row) {
            $is[$row] = in_array($row, $rows, true) ? 1.0 : 0.0;
        }
        $squares = $products = 0.0;
        foreach (self::without($is, $weights, $leans) as $row => $part) {
            $squares += $weights[$row] * $part ** 2;
            $products += $weights[$row] * $part * $left[$row];
        }

        return $squares > self::ALIKE ? $products ** 2 / $squares : 0.0;
    }

    /**
     * Without the mean, and without what leans.
     *
     * @param  array<int, float>  $figures
     * @param  array<int, float>  $weights
     * @return array<int, float>
     */
    private static function without(array $figures, array $weights, bool $leans): array
    {
        $all = $place = $mean = $squares = $products = 0.0;
        foreach ($figures as $row => $figure) {
            [$all, $place, $mean] = [$all + $weights[$row], $place + $weights[$row] * $row, $mean + $weights[$row] * $figure];
        }
        [$place, $mean] = [$place / $all, $mean / $all];
        foreach ($leans ? $figures : [] as $row => $figure) {
            [$squares, $products] = [$squares + $weights[$row] * ($row - $place) ** 2, $products + $weights[$row] * ($row - $place) * ($figure - $mean)];
        }
        $lean = $squares > 0 ? $products / $squares : 0.0;
        foreach ($figures as $row => $figure) {
            $figures[$row] = $figure - $mean - $lean * ($row - $place);
        }

        return $figures;
    }

    /**
     * @param  array<int, float>  $off
     * @param  array<int, float>  $weights
     * @param  list<int>  $rows
     */
    private static function isShared(array $off, array $weights, array $rows, bool $leans): bool
    {
        usort($rows, static fn (int $a, int $b): int => abs($off[$b]) <=> abs($off[$a]));
        $without = array_diff_key($off, [$rows[0] => true]);

        return self::explained(self::without($without, $weights, $leans), $weights, array_slice($rows, 1), $leans) > self::SHARED ** 2;
    }
}
