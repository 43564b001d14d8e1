<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

use Ustrel\Core\Field\Watch\RowGroup;
use Ustrel\Core\Measure\Median;
use Ustrel\Core\Measure\Student;

/**
 * The rate of the rows that were dug: of all together and of each, which are off alike, and what explains it. Rows that are off are
 * told apart by logarithms of their ratios: a scope (all rows, a group, half the planter, one row) is held to be off by the median of
 * its rows, and the scope that brings the rows nearest to what is set, in standard errors, is taken first; then the next for what is left.
 */
final readonly class FoundRate
{
    /** Chance of a false call over all rows and groups that are compared; all rows together go by their own interval. */
    private const FALSE_CALLS = 0.1;

    private const MOST_FINDINGS = 5;

    /** A row goes by its own scatter from so many spacings on, by that of all rows before. */
    private const OWN_SCATTER = 10;

    /** Spacings are not known better than to this share of their mean. */
    private const LEAST_ERROR = 0.005;

    private function __construct(
        public RateVerdict $verdict,
        public Rate $all,
        /** @var array<int, Rate> by row */
        public array $rows,
        /** @var list<RateFinding> those that move most first */
        public array $findings,
    ) {
    }

    /**
     * @param  non-empty-array<int, list<float>>  $ratios  two or more of each row: its spacings, each over the spacing that is set
     * @param  int  $rowCount  of the planter
     * @param  list<RowGroup>  $groups  rows that share a motor, section or the like
     * @param  array<int, float>  $monitor  what the monitor counts, by row, as a ratio too: population set over population counted
     *
     * @throws InvalidRate
     */
    public static function of(array $ratios, int $rowCount, array $groups = [], DriveKnown $drive = new DriveKnown, array $monitor = [], RateBand $band = new RateBand): self
    {
        $scatter = self::scatter($ratios);
        $rates = array_map(static fn (array $of): Rate => Rate::of($of, 1.0, $band, count($of) < self::OWN_SCATTER ? $scatter : null), $ratios);
        $off = self::off($ratios, $rates, self::scopes(array_keys($ratios), $rowCount, $groups), $scatter, $band);
        $causes = new RateCauses($drive, $monitor, $band);
        $findings = [];
        foreach ($off as $at => [$scope, $group, $rows]) {
            // Rows that are off by themselves besides do not tell of the others.
            $alike = array_values(array_diff($rows, ...array_column(array_slice($off, $at + 1), 2))) ?: $rows;
            $before = array_sum(array_map(static fn (array $of): float => array_diff($rows, $of[2]) === [] ? $of[3] : 0.0, array_slice($off, 0, $at)));
            $found = array_map(static fn (float $one): float => $one / exp($before), array_merge(...array_map(static fn (int $row): array => $ratios[$row], $alike)));
            $rate = Rate::of($found, 1.0, $band, count($found) < self::OWN_SCATTER ? $scatter : null);
            $isProven = $rowCount === 1 || ($scope === RateScope::All ? self::isOnBothHalves($rows, $rowCount) : count($ratios) > 1);
            $findings[] = new RateFinding($scope, $group, $alike, $rate, $causes->of($scope, $alike, $rate, $found, $isProven), $isProven);
        }
        $all = Rate::of(array_merge(...array_values($ratios)), 1.0, $band);

        return new self($findings !== [] ? RateVerdict::Off : ($all->verdict === RateVerdict::Off ? RateVerdict::Unsure : $all->verdict), $all, $rates, $findings);
    }

    /**
     * Scatter within rows, as a share.
     *
     * @param  non-empty-array<int, list<float>>  $ratios
     */
    private static function scatter(array $ratios): float
    {
        $squares = $free = 0.0;
        foreach ($ratios as $of) {
            $cv = Rate::of($of, 1.0)->cv;
            $squares += (count($of) - 1) * $cv ** 2;
            $free += count($of) - 1;
        }

        return sqrt($squares / $free);
    }

    /**
     * @param  non-empty-list<int>  $dug
     * @param  list<RowGroup>  $groups
     * @return list<array{RateScope, string, non-empty-list<int>}> with the rows of each that were dug; of those with the same rows the first is meant
     */
    private static function scopes(array $dug, int $rowCount, array $groups): array
    {
        $scopes = count($dug) > 1 || $rowCount === 1 ? [[RateScope::All, '', $dug]] : [];
        $shared = array_map(static fn (RowGroup $group): array => [RateScope::Group, $group->name, $group->rows], $groups);
        $half = intdiv($rowCount, 2);
        if ($half > 0) {
            $shared[] = [RateScope::LeftHalf, '', range(1, $half)];
            $shared[] = [RateScope::RightHalf, '', range($rowCount - $half + 1, $rowCount)];
        }
        foreach ($shared as [$scope, $name, $rows]) {
            $inside = array_values(array_intersect($dug, $rows));
            if (count($inside) > 1 && count($inside) < count($dug)) {
                $scopes[] = [$scope, $name, $inside];
            }
        }
        foreach ($rowCount === 1 ? [] : $dug as $row) {
            $scopes[] = [RateScope::Row, '', [$row]];
        }

        return $scopes;
    }

    /**
     * @param  non-empty-array<int, list<float>>  $ratios
     * @param  array<int, Rate>  $rates
     * @param  list<array{RateScope, string, non-empty-list<int>}>  $scopes
     * @return list<array{RateScope, string, non-empty-list<int>, float}> with the logarithm by which each is off
     */
    private static function off(array $ratios, array $rates, array $scopes, float $scatter, RateBand $band): array
    {
        $left = array_map(static fn (Rate $rate): float => log($rate->ratio), $rates);
        $errors = array_map(static fn (Rate $rate): float => max(self::LEAST_ERROR, $rate->cv) / sqrt($rate->spacings), $rates);
        $z = Student::quantile(1 - self::FALSE_CALLS / 2 / max(1, count($scopes)), 1000);
        $off = [];
        while (count($off) < self::MOST_FINDINGS) {
            $best = null;
            foreach ($scopes as [$scope, $group, $rows]) {
                $by = Median::of(array_map(static fn (int $row): float => $left[$row], $rows));
                $gain = array_sum(array_map(static fn (int $row): float => (abs($left[$row]) - abs($left[$row] - $by)) / $errors[$row], $rows));
                if ($gain > ($best[4] ?? 0.0) + 1e-9 && ! $band->holds(exp($by)) && self::isSure($scope, $rows, $by, $left, $errors, $band, $z)) {
                    $best = [$scope, $group, $rows, $by, $gain];
                }
            }
            if ($best === null) {
                break;
            }
            foreach ($best[2] as $row) {
                $left[$row] -= $best[3];
            }
            $off[] = array_slice($best, 0, 4);
        }

        return $off;
    }

    /**
     * Whether those of its rows that go with it are beyond the band by more than luck.
     *
     * @param  list<int>  $rows
     * @param  array<int, float>  $left
     * @param  array<int, float>  $errors
     */
    private static function isSure(RateScope $scope, array $rows, float $by, array $left, array $errors, RateBand $band, float $z): bool
    {
        $sum = $weights = 0.0;
        foreach ($rows as $row) {
            if (abs($left[$row] - $by) <= abs($left[$row])) {
                $weights += 1 / $errors[$row] ** 2;
                $sum += $left[$row] / $errors[$row] ** 2;
            }
        }
        if ($weights <= 0.0) {
            return false;
        }
        $beyond = abs($sum / $weights) - abs(log(1 + ($sum > 0 ? $band->high : $band->low)));

        return $beyond * sqrt($weights) > ($scope === RateScope::All || count($left) === 1 ? 1.645 : $z);
    }

    /** @param  non-empty-list<int>  $rows */
    private static function isOnBothHalves(array $rows, int $rowCount): bool
    {
        return min($rows) <= $rowCount / 2 && max($rows) > $rowCount / 2;
    }
}
