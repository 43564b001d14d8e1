<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Air;

use Ustrel\Core\Wear\Normal;

/**
 * How skips, or doubles, change with air, as counts tell it that scatter about a rate. Two shapes of the rate are weighed by how
 * well each tells the counts: its logarithm is a straight line in air (Poisson log-linear), or each seed has an air of its own
 * at which it is held, and the logarithms of these scatter normally (probit in the logarithm of air), by which the rate falls
 * the faster the lower it is. What is believed of the two figures of each shape is kept as weights on a grid: it is exact for
 * few seeds and for runs without a skip. The prior is weak: a place in a hundred goes wrong, give or take a factor of four, and
 * a tenth more air changes that by a good third, give or take a factor of two and a half.
 */
final readonly class AirCurve
{
    /** Of the logarithm of the rate at the middle air, and its change as air changes by its own size. */
    private const LINE = [-4.6, 1.4, 5.0, 0.9];

    /** The same of the normal deviate of the rate, and of its change with the logarithm of air. */
    private const PROBIT = [-2.33, 0.6, 5.0, 0.9];

    /** Rates scatter by so much from one run to the next at the same air. */
    private const SCATTER = 0.2;

    private const LEVELS = 25;

    private const SLOPES = 19;

    /** Of what is believed less than this by the side of the likeliest nothing is kept. */
    private const LEAST = 1e-4;

    /** @param  list<array{bool, float, float, float}>  $lines  whether it is a probit, its level at the middle air, its change, and its weight; weights add up to 1 */
    private function __construct(
        private float $middle,
        public array $lines,
    ) {
    }

    /**
     * @param  non-empty-list<array{float, int, int}>  $runs  air, places, and how many of them went wrong
     * @param  float  $middle  air that lies among them
     * @param  int  $way  1 where more air makes more of them, -1 where it makes fewer
     */
    public static function of(array $runs, float $middle, int $way): self
    {
        $lines = [];
        foreach ([[false, self::LINE, [-12.0, -0.05]], [true, self::PROBIT, [-5.5, 2.0]]] as [$isProbit, $prior, $levels]) {
            // Where it lies roughly, then closer.
            $steep = log($prior[2]);
            $box = [$levels, [$steep - 3 * $prior[3], $steep + 3 * $prior[3]]];
            for ($closer = 0; $closer < 2; $closer++) {
                $box = self::around(self::logs($runs, $middle, $way, $isProbit, $prior, $box), $box);
            }
            // The finer the grid, the less of the whole each of its points stands for.
            $cell = log(($box[0][1] - $box[0][0]) * ($box[1][1] - $box[1][0]) / $prior[1]);
            foreach (self::logs($runs, $middle, $way, $isProbit, $prior, $box) as [$level, $slope, $log]) {
                $lines[] = [$isProbit, $level, $way * exp($slope), $log + $cell];
            }
        }
        $most = max(array_column($lines, 3));
        $lines = array_filter($lines, static fn (array $line): bool => $line[3] > $most + log(self::LEAST));
        $all = array_sum(array_map(static fn (array $line): float => exp($line[3] - $most), $lines));

        return new self($middle, array_values(array_map(static fn (array $line): array => [$line[0], $line[1], $line[2], exp($line[3] - $most) / $all], $lines)));
    }

    /**
     * @param  non-empty-list<array{float, int, int}>  $runs
     * @param  array{float, float, float, float}  $prior
     * @param  array{array{float, float}, array{float, float}}  $box
     * @return non-empty-list<array{float, float, float}> level, logarithm of the steepness, and logarithm of what is believed
     */
    private static function logs(array $runs, float $middle, int $way, bool $isProbit, array $prior, array $box): array
    {
        $steep = log($prior[2]);
        $logs = [];
        for ($i = 0; $i < self::LEVELS; $i++) {
            $level = $box[0][0] + ($box[0][1] - $box[0][0]) * $i / (self::LEVELS - 1);
            for ($j = 0; $j < self::SLOPES; $j++) {
                $slope = $box[1][0] + ($box[1][1] - $box[1][0]) * $j / (self::SLOPES - 1);
                $log = -0.5 * (($level - $prior[0]) / $prior[1]) ** 2 - 0.5 * (($slope - $steep) / $prior[3]) ** 2;
                foreach ($runs as [$air, $places, $wrong]) {
                    $log += self::likelihood($wrong, $places, self::rate($isProbit, $level, $way * exp($slope), $air / $middle));
                }
                $logs[] = [$level, $slope, $log];
            }
        }

        return $logs;
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $logs
     * @param  array{array{float, float}, array{float, float}}  $box
     * @return array{array{float, float}, array{float, float}} what holds all that is believed at all
     */
    private static function around(array $logs, array $box): array
    {
        $most = max(array_column($logs, 2));
        $kept = array_filter($logs, static fn (array $of): bool => $of[2] > $most + log(self::LEAST));
        $around = [];
        foreach ([self::LEVELS, self::SLOPES] as $axis => $points) {
            $step = ($box[$axis][1] - $box[$axis][0]) / ($points - 1);
            $at = array_column($kept, $axis);
            $around[] = [max($box[$axis][0], min([$box[$axis][1], ...$at]) - $step), min($box[$axis][1], max([$box[$axis][0], ...$at]) + $step)];
        }

        return $around;
    }

    /** Share of places, by air over the middle air. */
    private static function rate(bool $isProbit, float $level, float $slope, float $air): float
    {
        return $isProbit ? Normal::under($level + $slope * log($air)) : exp(min(0.0, $level + $slope * ($air - 1)));
    }

    /** The logarithm of the chance of a count, but for what is the same at all rates: Poisson, of a rate that scatters (gamma). */
    public static function likelihood(int $wrong, int $places, float $rate): float
    {
        $mean = max(1e-9, $places * $rate);
        $shape = 1 / self::SCATTER ** 2;

        return $wrong * (log($mean) - log($shape + $mean)) - $shape * log(1 + $mean / $shape);
    }

    /** Share of the places that go wrong at an air, as it is to be expected, 0 to 1. */
    public function expected(float $air): float
    {
        $sum = 0.0;
        foreach ($this->lines as [$isProbit, $level, $slope, $weight]) {
            $sum += $weight * self::rate($isProbit, $level, $slope, $air / $this->middle);
        }

        return $sum;
    }

    /**
     * @param  int  $count  so many curves, as likely as they are believed
     * @param  list<float>  $airs
     * @return list<list<float>> of each, the share of places that goes wrong at each air
     */
    public function drawn(int $count, array $airs): array
    {
        $drawn = [];
        $sum = 0.0;
        foreach ($this->lines as $at => [$isProbit, $level, $slope, $weight]) {
            $sum += $weight;
            $rates = null;
            while (count($drawn) < $count && ((count($drawn) + 0.5) / $count < $sum || $at === array_key_last($this->lines))) {
                $drawn[] = $rates ??= array_map(fn (float $air): float => self::rate($isProbit, $level, $slope, $air / $this->middle), $airs);
            }
        }

        return $drawn;
    }
}
