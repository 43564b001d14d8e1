<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Stand;

/**
 * How evenly plants came up: the logistic curve N / (1 + exp(-(t - t50) / s)) through counts on the same length, by least squares of their
 * roots (which scatter alike, whatever the count: Anscombe, Biometrika 35, 1948). From 10 to 90 % it takes s ln 81.
 */
final readonly class Evenness
{
    private const FEWEST = 3;

    /** Steps of the search, each time finer by a third. */
    private const ROUNDS = 20;

    private const GRID = 3;

    private function __construct(
        /** Plants that are to be expected in the end, on the length. */
        public float $final,
        /** Hours after planting at which half of them are up. */
        public float $half,
        /** Hours from 10 to 90 %. */
        public float $hours,
    ) {
    }

    /**
     * @param  list<StandCount>  $counts  of one place
     * @return self|null null with fewer than three times, where nothing grew in between, or where most were up at the first
     */
    public static function of(array $counts): ?self
    {
        usort($counts, static fn (StandCount $one, StandCount $other): int => $one->hours <=> $other->hours);
        $times = array_unique(array_map(static fn (StandCount $of): string => (string) $of->hours, $counts));
        $most = max([0, ...array_map(static fn (StandCount $of): int => $of->plants, $counts)]);
        if (count($times) < self::FEWEST || $most === 0 || $counts[0]->plants > 0.8 * $most) {
            return null;
        }
        [$from, $to] = [$counts[0]->hours, $counts[count($counts) - 1]->hours];
        [$half, $slope] = [($from + $to) / 2, ($to - $from) / 8];
        [$stepHalf, $stepSlope] = [($to - $from) / 2, 0.9];
        [$best, $final] = self::misfit($counts, $half, $slope);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            [$baseHalf, $baseSlope] = [$half, $slope];
            for ($a = -self::GRID; $a <= self::GRID; $a++) {
                for ($b = -self::GRID; $b <= self::GRID; $b++) {
                    $tried = [$baseHalf + $a / self::GRID * $stepHalf, max(0.5, $baseSlope * exp($b / self::GRID * $stepSlope))];
                    [$misfit, $top] = self::misfit($counts, ...$tried);
                    if ($misfit < $best) {
                        [$best, $final, $half, $slope] = [$misfit, $top, ...$tried];
                    }
                }
            }
            [$stepHalf, $stepSlope] = [$stepHalf / 1.5, $stepSlope / 1.5];
        }

        return new self($final, $half, $slope * log(81));
    }

    /**
     * How far the counts are off the curve with this middle and slope, its top where they are least off: on the scale of roots that is a straight line.
     *
     * @param  list<StandCount>  $counts
     * @return array{float, float} the sum of squares, and the top
     */
    private static function misfit(array $counts, float $half, float $slope): array
    {
        $products = $squares = $sum = 0.0;
        $shares = array_map(static fn (StandCount $of): float => sqrt(1 / (1 + exp(-max(-500.0, min(500.0, ($of->hours - $half) / $slope))))), $counts);
        foreach ($counts as $at => $of) {
            $products += sqrt($of->plants) * $shares[$at];
            $squares += $shares[$at] ** 2;
        }
        $root = $squares > 0 ? $products / $squares : 0.0;
        foreach ($counts as $at => $of) {
            $sum += (sqrt($of->plants) - $root * $shares[$at]) ** 2;
        }

        return [$sum, $root ** 2];
    }
}
