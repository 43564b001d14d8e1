<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Plan\Prices;

/** The policies side by side: what each costs a season, which is cheapest, by how much, and what would turn it. */
final readonly class PolicyTable
{
    /** Prices and costs are looked at from a tenth of what they are to ten times that, in steps of a fifth or so. */
    private const FACTOR_STEP = 1.2;

    private const MOST_FACTOR = 10.0;

    private const ROUNDS = 20;

    /** A share is found by playing again, so fewer times. */
    private const SHARES = [0.25, 0.4, 0.55, 0.7, 0.85, 1.0];

    private const SHARE_ROUNDS = 2;

    private const SHARE_RUNS = 80;

    /**
     * @param  list<PolicyLine>  $lines
     * @param  int  $cheapest  the line whose middle is lowest
     * @param  int|null  $next  the one after it; null with one policy
     * @param  float  $ahead  by how much the cheapest is ahead of it in the middle run, a season
     * @param  list<Turn>  $turns
     */
    private function __construct(
        public array $lines,
        public int $cheapest,
        public ?int $next,
        public float $ahead,
        public array $turns,
    ) {
    }

    /**
     * @param  non-empty-list<Policy>  $policies
     * @param  int  $runs  1 or more
     */
    public static function of(PolicySimulation $play, array $policies, int $runs, int $seed): self
    {
        $played = $play->of($policies, $runs, $seed);
        $costs = array_map(static fn (SimulatedRuns $of): array => $of->costs($play->prices), $played);
        $wins = self::wins($costs);
        $lines = [];
        foreach ($played as $index => $of) {
            $sorted = $costs[$index];
            sort($sorted);
            $lines[] = new PolicyLine(
                $of, self::quantile($sorted, 0.1) / $play->seasons, self::quantile($sorted, 0.5) / $play->seasons, self::quantile($sorted, 0.9) / $play->seasons,
                $wins[$index] / $runs, array_sum($of->stops) / $runs / $play->seasons, array_sum($of->minutes) / 60 / $runs / $play->seasons,
            );
        }
        $order = self::order($costs);
        [$cheapest, $next] = [$order[0], $order[1] ?? null];
        $ahead = $next === null ? 0.0 : self::middle(array_map(static fn (float $one, float $other): float => $other - $one, $costs[$cheapest], $costs[$next])) / $play->seasons;

        return new self($lines, $cheapest, $next, $ahead, [...self::turnsOfMoney($played, $play->prices, $cheapest), ...self::turnsOfShare($play, $played, $cheapest, $seed)]);
    }

    /**
     * @param  list<list<float>>  $costs
     * @return array<int, float> runs in which each is the cheapest; what several share is shared out
     */
    private static function wins(array $costs): array
    {
        $wins = array_fill(0, count($costs), 0.0);
        foreach (array_keys($costs[0] ?? []) as $run) {
            $of = array_map(static fn (array $one): float => $one[$run], $costs);
            $best = array_keys($of, min([INF, ...$of]), true);
            foreach ($best as $index) {
                $wins[$index] += 1 / count($best);
            }
        }

        return $wins;
    }

    /**
     * @param  list<list<float>>  $costs  of one policy at least
     * @return non-empty-list<int> the cheapest in the middle first
     */
    private static function order(array $costs): array
    {
        $middles = array_map(self::middle(...), $costs);
        asort($middles);

        return array_keys($middles) ?: [0];
    }

    /**
     * The nearest price of parts, and the nearest cost of stops, either way, at which another policy is the cheapest.
     *
     * @param  list<SimulatedRuns>  $played
     * @return list<Turn>
     */
    private static function turnsOfMoney(array $played, Prices $prices, int $cheapest): array
    {
        $turns = [];
        foreach ([TurnOf::PartPrices, TurnOf::StopCost] as $of) {
            $best = static function (float $factor) use ($played, $prices, $of): int {
                return self::order(array_map(static fn (SimulatedRuns $one): array => $of === TurnOf::PartPrices ? $one->costs($prices, partsFactor: $factor) : $one->costs($prices, stopFactor: $factor), $played))[0];
            };
            foreach ([self::FACTOR_STEP, 1 / self::FACTOR_STEP] as $step) {
                $turn = self::turn($best, $cheapest, $step);
                if ($turn !== null) {
                    $turns[] = new Turn($of, ...$turn);
                }
            }
        }

        return $turns;
    }

    /**
     * @param  callable(float): int  $best
     * @return array{float, int}|null the factor, and which is cheapest beyond it
     */
    private static function turn(callable $best, int $cheapest, float $step): ?array
    {
        for ($from = 1.0; $from <= self::MOST_FACTOR && $from >= 1 / self::MOST_FACTOR; $from *= $step) {
            if ($best($from * $step) === $cheapest) {
                continue;
            }
            [$same, $other] = [$from, $from * $step];
            for ($round = 0; $round < self::ROUNDS; $round++) {
                $middle = sqrt($same * $other);
                [$same, $other] = $best($middle) === $cheapest ? [$middle, $other] : [$same, $middle];
            }

            return [$other, $best($other)];
        }

        return null;
    }

    /**
     * The share at which a policy that goes by one begins, or ceases, to be the cheapest: nearest to what it is, either way.
     *
     * @param  list<SimulatedRuns>  $played
     * @return list<Turn>
     */
    private static function turnsOfShare(PolicySimulation $play, array $played, int $cheapest, int $seed): array
    {
        $turns = [];
        foreach ($played as $index => $of) {
            $share = $of->policy->share();
            if ($share === null || count($played) < 2) {
                continue;
            }
            $others = [];
            foreach ($played as $at => $other) {
                if ($at !== $index) {
                    $others[$at] = self::middle(array_slice($other->costs($play->prices), 0, self::SHARE_RUNS));
                }
            }
            $rival = (int) array_search(min([INF, ...$others]), $others, true);
            $at = static fn (float ...$shares): array => array_map(
                static fn (SimulatedRuns $at): bool => self::middle($at->costs($play->prices)) < $others[$rival],
                $play->of(array_map(static fn (float $at): Policy => $of->policy->withShare($at) ?? $of->policy, array_values($shares)), self::SHARE_RUNS, $seed),
            );
            $wins = array_combine(array_map(strval(...), [$share, ...self::SHARES]), $at($share, ...self::SHARES));
            // Too close to tell by so few runs.
            if ($wins[(string) $share] !== ($index === $cheapest)) {
                continue;
            }
            foreach (self::waysFrom($share) as $way) {
                $turn = self::turnOnTheWay($share, $way, $wins, static fn (float $of): bool => $at($of)[0]);
                if ($turn !== null) {
                    $turns[] = new Turn(TurnOf::Share, $turn, $index === $cheapest ? $rival : $index, $index);
                }
            }
        }

        return $turns;
    }

    /**
     * @param  list<float>  $way  shares, the nearest first
     * @param  array<array-key, bool>  $wins  whether the policy is the cheapest at those and where it is
     * @param  callable(float): bool  $isBest
     */
    private static function turnOnTheWay(float $from, array $way, array $wins, callable $isBest): ?float
    {
        $now = $wins[(string) $from];
        foreach ($way as $at) {
            if ($wins[(string) $at] === $now) {
                $from = $at;

                continue;
            }
            [$same, $other] = [$from, $at];
            for ($round = 0; $round < self::SHARE_ROUNDS; $round++) {
                $middle = ($same + $other) / 2;
                [$same, $other] = $isBest($middle) === $now ? [$middle, $other] : [$same, $middle];
            }

            return round($other, 2);
        }

        return null;
    }

    /** @return list<list<float>> shares over one, upwards, and under it, downwards */
    private static function waysFrom(float $share): array
    {
        return [
            array_values(array_filter(self::SHARES, static fn (float $at): bool => $at > $share)),
            array_reverse(array_values(array_filter(self::SHARES, static fn (float $at): bool => $at < $share))),
        ];
    }

    /** @param  list<float>  $values */
    private static function middle(array $values): float
    {
        sort($values);

        return self::quantile($values, 0.5);
    }

    /** @param  list<float>  $sorted  at least one */
    private static function quantile(array $sorted, float $share): float
    {
        $at = $share * (count($sorted) - 1);
        $low = (int) floor($at);

        return $sorted[$low] + ($at - $low) * ($sorted[min($low + 1, count($sorted) - 1)] - $sorted[$low]);
    }
}
