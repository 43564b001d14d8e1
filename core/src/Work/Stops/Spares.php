<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Work\Schedule\InvalidPlan;

/**
 * How many of a part type to carry into the season: as many as cost least, where each that fails beyond them costs a trip and
 * each that is carried costs its holding.
 */
final readonly class Spares
{
    /** To carry a spare that is not needed costs this share of its price: money bound, room, age. */
    public const HOLDING = 0.2;

    /** Of chances smaller than this together nobody asks. */
    private const REST = 1e-9;

    /** @param  list<float>  $odds  that exactly so many fail, from none on */
    private function __construct(
        public array $odds,
        public int $carry,
        /** Of trips and holding with so many, in the shop's currency. */
        public float $cost,
    ) {
    }

    /**
     * The exact distribution: each fitted part fails or not (Poisson binomial), and besides some break at random (Poisson).
     *
     * @param  list<float>  $chances  that each fitted part fails within the season, 0 to 1
     * @param  float  $breakages  at random in a season, all of them together on average, 0 to 50
     * @param  float  $trip  what it costs to fetch one, 0 or more
     * @param  float  $holding  what it costs to carry one that is not needed, over 0
     *
     * @throws InvalidPlan
     */
    public static function of(array $chances, float $breakages, float $trip, float $holding): self
    {
        foreach ($chances as $chance) {
            $chance >= 0 && $chance <= 1 || throw InvalidPlan::chance();
        }
        $breakages >= 0 && $breakages <= 50 && $trip >= 0 && $holding > 0 && is_finite($trip) && is_finite($holding) || throw InvalidPlan::spares();
        $odds = [1.0];
        foreach ($chances as $chance) {
            $with = array_fill(0, count($odds) + 1, 0.0);
            foreach ($odds as $count => $of) {
                $with[$count] += $of * (1 - $chance);
                $with[$count + 1] += $of * $chance;
            }
            $odds = array_values($with);
        }
        $odds = self::plusPoisson($odds, $breakages);
        [$carry, $least] = [0, INF];
        foreach (array_keys($odds) as $count) {
            $cost = self::cost($odds, $count, $trip, $holding);
            if ($cost < $least) {
                [$carry, $least] = [$count, $cost];
            }
        }

        return new self($odds, $carry, $least);
    }

    /** The chance that so many are enough. */
    public function enough(int $carried): float
    {
        return min(1.0, (float) array_sum(array_slice($this->odds, 0, max(0, $carried + 1))));
    }

    /** How many fail, on average. */
    public function expected(): float
    {
        return (float) array_sum(array_map(static fn (int $count, float $of): float => $count * $of, array_keys($this->odds), $this->odds));
    }

    /**
     * @param  list<float>  $odds
     * @return list<float>
     */
    private static function plusPoisson(array $odds, float $mean): array
    {
        $sum = [];
        $of = exp(-$mean);
        for ($breaks = 0, $left = 1.0; $left > self::REST; $breaks++) {
            foreach ($odds as $count => $fail) {
                $sum[$count + $breaks] = ($sum[$count + $breaks] ?? 0.0) + $fail * $of;
            }
            $left -= $of;
            $of *= $mean / ($breaks + 1);
        }

        return array_values($sum);
    }

    /** @param  list<float>  $odds */
    private static function cost(array $odds, int $carried, float $trip, float $holding): float
    {
        $trips = 0.0;
        foreach ($odds as $count => $of) {
            $trips += $of * max(0, $count - $carried);
        }

        return $trip * $trips + $holding * $carried;
    }
}
