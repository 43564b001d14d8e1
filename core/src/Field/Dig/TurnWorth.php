<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Field\Calc\Measured;

/**
 * What a turn is worth on this planter: depth = level of the row + sum over levers of worth x moved, by least squares with what each
 * lever is thought to be worth as a prior (domain, 10). Digs are taken in one after the other (recursive least squares: Plackett,
 * Biometrika 37, 1950), which gives the same as all at once.
 *
 *     $worth = TurnWorth::of($digs, 6.35);
 *     $worth->worth(Lever::Notch)->value    // 7.7 mm a notch
 */
final readonly class TurnWorth
{
    /** Nothing is known of a row's level before it is dug: variance, square millimetres. */
    private const ANY_DEPTH = 1e6;

    /** 90 % of a normal distribution. */
    private const Z = 1.645;

    /**
     * @param  array<string, float>  $means  of levers and rows
     * @param  array<string, array<string, float>>  $spread  their covariances
     * @param  array<int, array<string, float>>  $stands  how levers stand now, by row
     * @param  array<string, int>  $seen  digs after each lever was moved
     */
    private function __construct(
        private array $means,
        private array $spread,
        private array $stands,
        private array $seen,
    ) {
    }

    /**
     * @param  list<DugAt>  $digs  the earliest first
     * @param  float|null  $notch  depth of one by the sheet or the scale, millimetres; null where only digging tells
     */
    public static function of(array $digs, ?float $notch): self
    {
        $means = $spread = $stands = $seen = [];
        foreach (Lever::cases() as $lever) {
            [$means[$lever->value], $sd] = $lever->start($notch);
            $spread[$lever->value][$lever->value] = $sd ** 2;
            $seen[$lever->value] = 0;
        }
        foreach ($digs as $dig) {
            $row = "row {$dig->row}";
            $means[$row] ??= 0.0;
            $spread[$row][$row] ??= self::ANY_DEPTH;
            $moved = array_filter($dig->moved, static fn (float $by): bool => abs($by) > 1e-9);
            foreach ($moved as $lever => $by) {
                $seen[$lever]++;
            }
            [$means, $spread] = self::learn($means, $spread, [$row => 1.0] + $moved, $dig->depth, $dig->sd ** 2);
            $stands[$dig->row] = $moved;
        }

        return new self($means, $spread, $stands, $seen);
    }

    /** Millimetres deeper for one notch, pound, psi, step or mile an hour. */
    public function worth(Lever $lever): Measured
    {
        return Measured::of($this->means[$lever->value], sqrt($this->spread[$lever->value][$lever->value]));
    }

    /** Whether the planter's own passes tell of it. */
    public function isLearned(Lever $lever): bool
    {
        return $this->seen[$lever->value] > 0;
    }

    /**
     * Depth to expect of a row after a turn, with the interval that holds it 9 times in 10; null where it was not dug.
     *
     * @param  array<value-of<Lever>, float>  $by
     * @return array{float, float, float}|null millimetres: expected, least, most
     */
    public function after(int $row, array $by = []): ?array
    {
        if (! isset($this->stands[$row])) {
            return null;
        }
        $at = ["row {$row}" => 1.0];
        foreach ([$this->stands[$row], $by] as $moves) {
            foreach ($moves as $lever => $move) {
                $at[$lever] = ($at[$lever] ?? 0.0) + $move;
            }
        }
        $depth = $variance = 0.0;
        foreach ($at as $one => $times) {
            $depth += $times * $this->means[$one];
            foreach ($at as $other => $by2) {
                $variance += $times * $by2 * ($this->spread[$one][$other] ?? 0.0);
            }
        }
        $half = self::Z * sqrt(max(0.0, $variance));

        return [$depth, $depth - $half, $depth + $half];
    }

    /**
     * By how much a lever is moved to plant a row at a depth; null where it is not known which way it works, or the row was not dug.
     *
     * @param  float|null  $step  what it is moved by at a time; null for what is usual of the lever
     */
    public function turn(int $row, Lever $lever, float $wanted, ?float $step = null): ?float
    {
        $step ??= $lever->step();
        $worth = $this->worth($lever);
        $now = $this->after($row);

        return $now === null || abs($worth->value) <= self::Z * $worth->sd ? null : round(($wanted - $now[0]) / $worth->value / $step) * $step + 0.0;
    }

    /**
     * @param  array<string, float>  $means
     * @param  array<string, array<string, float>>  $spread
     * @param  array<string, float>  $at  what the dig tells of
     * @return array{array<string, float>, array<string, array<string, float>>}
     */
    private static function learn(array $means, array $spread, array $at, float $depth, float $variance): array
    {
        $with = [];
        foreach (array_keys($means) as $one) {
            $with[$one] = 0.0;
            foreach ($at as $other => $times) {
                $with[$one] += $times * ($spread[$one][$other] ?? 0.0);
            }
        }
        $expected = $all = 0.0;
        foreach ($at as $one => $times) {
            $expected += $times * $means[$one];
            $all += $times * $with[$one];
        }
        $all += $variance;
        foreach ($with as $one => $part) {
            $means[$one] += $part / $all * ($depth - $expected);
            foreach ($with as $other => $share) {
                $spread[$one][$other] = ($spread[$one][$other] ?? 0.0) - $part * $share / $all;
            }
        }

        return [$means, $spread];
    }
}
