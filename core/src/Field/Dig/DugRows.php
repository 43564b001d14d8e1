<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Measure\Student;

/**
 * Depths of several rows held against each other. Neighbouring seeds are alike, for a row unit rides over the same ground: the
 * correlation from seed to seed is learned from all rows (corrected for what few seeds hide of it: Marriott and Pope, Biometrika
 * 41, 1954), and a mean of n seeds is worth so many fewer. Rows then differ by a test that holds its false alarms over all rows
 * (Holm, Scandinavian Journal of Statistics 6, 1979); how deep each is, is reckoned with the others (DerSimonian and Laird,
 * Controlled Clinical Trials 7, 1986).
 */
final readonly class DugRows
{
    private const FALSE_ALARMS = 0.045;

    /** Seeds of a row are alike by so much at most. */
    private const MOST_ALIKE = 0.8;

    /** As alike they are taken to be where seeds are too few to tell: five a row. */
    private const USUAL = 0.4;

    /** What is taken of how unsure the correlation is, in its standard errors. */
    private const SAFE = 0.5;

    private const FEWEST = 3;

    /** Read to the sixteenth of an inch depths scatter by this at least, millimetres. */
    private const LEAST_SD = 0.5;

    /** @var array<int, array{float, float, float}> mean, its variance, and degrees of freedom, by row */
    private array $means;

    /** Of neighbouring seeds. */
    public float $alike;

    /** @param  array<int, DugRow>  $rows  those with three depths or more count */
    public function __construct(array $rows)
    {
        $depths = array_filter(array_map(static fn (DugRow $row): array => $row->depths, $rows), static fn (array $of): bool => count($of) >= self::FEWEST);
        $this->alike = self::alike($depths);
        $squares = $free = 0.0;
        $own = [];
        foreach ($depths as $row => $of) {
            $mean = array_sum($of) / count($of);
            $sum = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $of));
            // Seeds that are alike scatter less about their own mean than about what the row is set to.
            $worth = max(0.5, count($of) - self::inflation($this->alike, count($of)));
            $own[$row] = [$mean, $sum / $worth, $worth];
            $squares += $sum;
            $free += $worth;
        }
        $pooled = $free > 0 ? $squares / $free : 0.0;
        $share = (1 - $this->alike ** 2) / (1 + $this->alike ** 2);
        $means = [];
        foreach ($own as $row => [$mean, $variance, $worth]) {
            // A row that scatters more than the others goes by its own scatter.
            $isWild = $variance > $pooled && count($own) > 1;
            $count = count($depths[$row]);
            $means[$row] = [$mean, max($isWild ? $variance : $pooled, self::LEAST_SD ** 2) * self::inflation($this->alike, $count) / $count, max(1.0, ($isWild ? $worth : $free) * $share)];
        }
        $this->means = $means;
    }

    /**
     * Rows that are really deeper or shallower than the others: the farthest first, and the rest then without it.
     *
     * @return array<int, float> by row, how much deeper than the mean of the others, millimetres; shallower is under 0
     */
    public function differing(): array
    {
        $left = $this->means;
        $differing = [];
        while (count($left) > 1) {
            [$row, $differs, $chance] = self::farthest($left);
            if ($chance * count($left) > self::FALSE_ALARMS) {
                break;
            }
            $differing[$row] = $differs;
            unset($left[$row]);
            if (count($this->means) === 2) {
                // Of two alone each is as much the odd one.
                $differing[(int) array_key_first($left)] = -$differs;
            }
        }
        ksort($differing);

        return $differing;
    }

    /** @return array{float, float}|null how deep a row plants by its own seeds alone, millimetres, and one standard deviation; null where it was not dug enough */
    public function mean(int $row): ?array
    {
        return isset($this->means[$row]) ? [$this->means[$row][0], sqrt($this->means[$row][1])] : null;
    }

    /**
     * How deep a row plants, reckoned with the others, and how sure that is; null where it was not dug enough.
     *
     * @return array{float, float}|null millimetres, and one standard deviation
     */
    public function depth(int $row): ?array
    {
        if (! isset($this->means[$row])) {
            return null;
        }
        [$mean, $variance] = $this->means[$row];
        if (count($this->means) === 1) {
            return [$mean, sqrt($variance)];
        }
        $between = $this->between();
        $weights = array_map(static fn (array $of): float => 1 / ($of[1] + $between), $this->means);
        $pool = array_sum(array_map(static fn (array $of, float $weight): float => $of[0] * $weight, $this->means, $weights)) / array_sum($weights);
        if ($between <= 0.0) {
            return [$pool, sqrt(1 / array_sum($weights))];
        }
        $share = $between / ($between + $variance);

        return [$share * $mean + (1 - $share) * $pool, sqrt($share * $variance + (1 - $share) ** 2 / array_sum($weights))];
    }

    /**
     * @param  non-empty-array<int, array{float, float, float}>  $means
     * @return array{int, float, float} the row that is least likely to be like the others, by how much it differs, and how likely that is
     */
    private static function farthest(array $means): array
    {
        $others = count($means) - 1;
        [$sum, $variances] = [array_sum(array_column($means, 0)), array_sum(array_column($means, 1))];
        $farthest = [0, 0.0, 2.0];
        foreach ($means as $row => [$mean, $variance, $free]) {
            $differs = $mean - ($sum - $mean) / $others;
            $of = $variance + ($variances - $variance) / $others ** 2;
            $chance = 2 * (1 - Student::under(abs($differs) / sqrt($of), (int) max(1, floor($free))));
            $farthest = $chance < $farthest[2] ? [$row, $differs, $chance] : $farthest;
        }

        return $farthest;
    }

    /** Variance between rows. */
    private function between(): float
    {
        $count = count($this->means);
        $weights = array_map(static fn (array $of): float => 1 / $of[1], $this->means);
        $sum = array_sum($weights);
        $pool = array_sum(array_map(static fn (array $of, float $weight): float => $of[0] * $weight, $this->means, $weights)) / $sum;
        $spread = array_sum(array_map(static fn (array $of, float $weight): float => $weight * ($of[0] - $pool) ** 2, $this->means, $weights));

        return max(0.0, ($spread - ($count - 1)) / ($sum - array_sum(array_map(static fn (float $weight): float => $weight ** 2, $weights)) / $sum));
    }

    /**
     * How alike neighbouring seeds are, from 0 on; on the safe side.
     *
     * @param  array<int, list<float>>  $depths  by row
     */
    private static function alike(array $depths): float
    {
        $products = $squares = 0.0;
        $pairs = $seeds = 0;
        foreach ($depths as $of) {
            $mean = array_sum($of) / count($of);
            foreach ($of as $at => $one) {
                $squares += ($one - $mean) ** 2;
                $products += isset($of[$at + 1]) ? ($one - $mean) * ($of[$at + 1] - $mean) : 0.0;
            }
            $pairs += count($of) - 1;
            $seeds += count($of);
        }
        if ($squares <= 0.0) {
            return self::USUAL;
        }
        $each = $seeds / count($depths);
        $seen = $products / $squares * $seeds / $pairs;
        // E(seen) = rho - (1 + 3 rho) / n about a mean of n seeds of its own.
        $rho = ($seen + 1 / $each) / max(0.25, 1 - 3 / $each);

        return max(min(self::USUAL, 1.5 / $each), min(self::MOST_ALIKE, $rho + self::SAFE / sqrt($seeds)));
    }

    /** By how much more a mean of n seeds varies where neighbours are alike: 1 + 2 sum (1 - k/n) rho^k. */
    private static function inflation(float $rho, int $count): float
    {
        $sum = 0.0;
        for ($lag = 1; $lag < $count; $lag++) {
            $sum += (1 - $lag / $count) * $rho ** $lag;
        }

        return 1 + 2 * $sum;
    }
}
