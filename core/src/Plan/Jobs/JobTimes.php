<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Wear\Pool;

/**
 * What a shop's finished work tells of how long its jobs take, against what is typical. The logarithm of taken to typical is
 * m + b + e: m is the shop's own pace, b what a kind of job adds, e what one piece scatters. m is held to 0 weakly, each b is
 * shrunk towards 0 by how little is known of it (random effects by DerSimonian and Laird).
 */
final readonly class JobTimes
{
    /** How far a shop's pace usually is from what is typical, a kind of job from the shop's pace at least, and one piece from its kind: as standard deviations of the logarithm. */
    private const PACE_SD = 0.5;

    private const LEAST_KIND_SD = 0.1;

    private const PIECE_SD = 0.4;

    /** The scatter of a piece that is usual counts as so many pieces. */
    private const USUAL_PIECES = 4;

    /** A piece that took more than four times what is typical, or less than a quarter, counts as that: a clock ran on over lunch. */
    private const GROSS = 4.0;

    /**
     * @param  float  $pace  times what is typical: what a kind takes that was never done
     * @param  array<string, float>  $kinds  times what is typical, by kind
     */
    private function __construct(
        public float $pace,
        public array $kinds,
    ) {
    }

    /**
     * What one finished piece tells, to be summed up over pieces.
     *
     * @param  non-empty-list<string>  $kinds  of its jobs, each as often as it was done
     * @param  float  $minutes  that it took, without what a seized joint took; over 0
     * @param  float  $typical  over 0
     * @return array<string, array{float, float, float}> by kind: its share of the piece, and that times the logarithm and times its square
     */
    public static function told(array $kinds, float $minutes, float $typical): array
    {
        $log = max(-log(self::GROSS), min(log(self::GROSS), log($minutes / $typical)));
        $told = [];
        foreach (array_count_values($kinds) as $kind => $count) {
            $share = $count / count($kinds);
            $told[$kind] = [$share, $share * $log, $share * $log ** 2];
        }

        return $told;
    }

    /**
     * What both tell together.
     *
     * @param  array<string, array{float, float, float}>  $one
     * @param  array<string, array{float, float, float}>  $other
     * @return array<string, array{float, float, float}>
     */
    public static function together(array $one, array $other): array
    {
        foreach ($other as $kind => [$count, $sum, $square]) {
            [$before, $sumBefore, $squareBefore] = $one[$kind] ?? [0.0, 0.0, 0.0];
            $one[$kind] = [$before + $count, $sumBefore + $sum, $squareBefore + $square];
        }

        return $one;
    }

    /** @param  array<string, array{float, float, float}>  $sums  of what pieces told, by kind */
    public static function of(array $sums): self
    {
        $sums = array_filter($sums, static fn (array $sum): bool => $sum[0] > 0);
        $squares = self::USUAL_PIECES * self::PIECE_SD ** 2;
        $free = (float) self::USUAL_PIECES;
        foreach ($sums as [$count, $sum, $square]) {
            $squares += max(0.0, $square - $sum ** 2 / $count);
            $free += max(0.0, $count - 1);
        }
        $ofPiece = $squares / $free;
        $items = array_map(static fn (array $sum): array => [$sum[1] / $sum[0], $ofPiece / $sum[0]], $sums);
        $ofKind = max(self::LEAST_KIND_SD ** 2, Pool::between(array_values($items)));
        $weight = 1 / self::PACE_SD ** 2;
        $weighted = 0.0;
        foreach ($items as [$mean, $variance]) {
            $weight += 1 / ($variance + $ofKind);
            $weighted += $mean / ($variance + $ofKind);
        }
        $pace = $weighted / $weight;

        return new self(exp($pace), array_map(static fn (array $item): float => exp(($item[0] / $item[1] + $pace / $ofKind) / (1 / $item[1] + 1 / $ofKind)), $items));
    }

    /** Times what is typical. */
    public function factor(Job $job): float
    {
        return $this->kinds[self::kind($job)] ?? $this->pace;
    }

    public static function kind(Job $job): string
    {
        return "{$job->action->value}:{$job->what->value}";
    }
}
