<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * Forecasts the items of one kind on one planter together, so that a row with one reading borrows from the rest: each
 * item wears as room(u) = start - rate x u, with u the effective furrow distance.
 */
final readonly class Forecaster
{
    /** The shop's figure, unless it says otherwise: over this chance of reaching the limit a part is watched. */
    public const WATCH_CHANCE = 0.2;

    /** The record is thin with fewer items than this, and fewer readings of the item itself than the next. */
    private const FEWEST_ITEMS = 3;

    private const FEWEST_READINGS = 2;

    /** The usual cut for an outlier (Iglewicz and Hoaglin, 1993). */
    private const CUT = 3.5;

    /** A row may well wear this much more unlike the rest than most do, before a reading of it is doubted. */
    private const UNLIKE = 3.0;

    /** Makes the median absolute deviation of a normal sample an estimate of its standard deviation. */
    private const MAD_TO_SD = 1.4826;

    /** The turning point is found to this, millimetres, or after so many rounds at most. */
    private const NEAR = 1e-6;

    private const ROUNDS = 12;

    private float $variance;

    private float $watchDeviate;

    public function __construct(
        private WearPath $path,
        ReadingError $error,
        float $watchChance = self::WATCH_CHANCE,
    ) {
        $this->variance = $error->variance();
        $this->watchDeviate = Normal::quantile($watchChance);
    }

    /**
     * @param  list<Item>  $items  with keys of their own
     * @param  float|null  $planned  what the items still have to run this season, effective metres; null without a plan
     * @return array<string, Forecast> by item key
     */
    public function of(array $items, ?float $planned): array
    {
        [$middle, $spread] = $this->usual($items);
        $weights = [];
        $rates = [];
        foreach ($items as $item) {
            $weights[$item->key] = $this->weights($item, $middle, $spread);
            $own = OwnRate::of($item, $this->variance, $weights[$item->key]);
            if ($own !== null) {
                $rates[] = [$own->rate(), $own->variance()];
            }
        }
        $pool = Pool::of($rates, $this->path->nominalRate());

        $forecasts = [];
        foreach ($items as $item) {
            $forecasts[$item->key] = $this->forecast($item, $pool, $planned, $weights[$item->key]);
        }

        return $forecasts;
    }

    /** @param  array<int, float>  $weights  of the item's points */
    private function forecast(Item $item, Pool $pool, ?float $planned, array $weights): Forecast
    {
        if ($pool->items < self::FEWEST_ITEMS && count($item->points) < self::FEWEST_READINGS) {
            return Forecast::thin($item, $this->path);
        }
        if ($item->start === null) {
            return Forecast::thin($item, $this->path, $planned === null ? null : $this->firstWatched($pool, $planned));
        }
        $belief = Belief::of($item, $pool, $this->variance, $weights);

        return Forecast::of(
            $item,
            $belief,
            $planned === null ? null : $belief->chanceBy($item->use + $planned),
            $planned === null ? null : $this->watchUnder($item, $pool, $planned, $weights),
            self::outliers($item, $weights),
        );
    }

    /**
     * The room under which a reading taken now would make the chance of reaching the limit within the planned use
     * greater than the shop's figure: where room(end) + z sd(end) passes 0, found by the secant method; both are all
     * but linear in the reading.
     *
     * @param  array<int, float>  $weights  of the points so far
     */
    private function watchUnder(Item $item, Pool $pool, float $planned, array $weights): float
    {
        if ($item->use <= 0) {
            return $this->firstWatched($pool, $planned);
        }
        $end = $item->use + $planned;
        $over = function (float $room) use ($item, $pool, $weights, $end): float {
            $belief = Belief::of($item->with(new Point('', $item->use, $room)), $pool, $this->variance, [...$weights, 1.0]);

            return $belief->room($end) + $this->watchDeviate * $belief->sd($end);
        };
        $last = (float) $item->start - $pool->mean * $item->use;
        $room = $last + sqrt($this->variance);
        [$overLast, $overRoom] = [$over($last), $over($room)];
        for ($round = 0; $round < self::ROUNDS && abs($overRoom) > self::NEAR && $overRoom !== $overLast; $round++) {
            [$last, $room] = [$room, $room - $overRoom * ($room - $last) / ($overRoom - $overLast)];
            [$overLast, $overRoom] = [$overRoom, $over($room)];
        }

        return $room;
    }

    /** The same where the reading is itself the start. */
    private function firstWatched(Pool $pool, float $planned): float
    {
        $sd = sqrt($this->variance + ($pool->between + $pool->ofMean) * $planned ** 2);

        return $pool->mean * $planned - $this->watchDeviate * $sd;
    }

    /**
     * What is usual among the items, unmoved by a few that are not: the median of their rates, and how far they scatter.
     *
     * @param  list<Item>  $items
     * @return array{float, float} millimetres a metre
     */
    private function usual(array $items): array
    {
        $rates = [];
        $variances = [];
        foreach ($items as $item) {
            $own = OwnRate::of($item, $this->variance);
            if ($own !== null) {
                $rates[] = $own->rate();
                $variances[] = $own->variance();
            }
        }
        if (count($rates) < self::FEWEST_ITEMS) {
            return [$this->path->nominalRate(), $this->path->nominalRate()];
        }
        $middle = self::median($rates);
        $scatter = (self::MAD_TO_SD * self::median(array_map(static fn (float $rate): float => abs($rate - $middle), $rates))) ** 2;

        return [$middle, sqrt(max($scatter - self::median($variances), Pool::leastSpread($middle, $this->path->nominalRate()) ** 2))];
    }

    /**
     * A weight for each point of an item: 1, or less for one that the item's other points and what is usual make hard to
     * believe. The worst is found first, and never are more than half of several points doubted.
     *
     * @return array<int, float> over 0 to 1
     */
    private function weights(Item $item, float $usual, float $spread): array
    {
        $weights = array_fill(0, count($item->points), 1.0);
        $rounds = count($item->points) === 1 ? 1 : intdiv(count($item->points), 2);
        for ($round = 0; $round < $rounds; $round++) {
            $worst = null;
            $furthest = self::CUT;
            $all = OwnRate::of($item, $this->variance, $weights);
            foreach ($item->points as $index => $point) {
                $off = $weights[$index] < 1 ? 0.0 : $this->deviate($item, $point, $all?->without($item, $point), $usual, $spread);
                if ($off > $furthest) {
                    [$worst, $furthest] = [$index, $off];
                }
            }
            if ($worst === null) {
                break;
            }
            $weights[$worst] = (self::CUT / $furthest) ** 2;
        }

        return $weights;
    }

    /** How many standard deviations a point lies from where the rest expects it. */
    private function deviate(Item $item, Point $point, ?OwnRate $rest, float $usual, float $spread): float
    {
        $ofUsual = 1 / (self::UNLIKE * $spread) ** 2;
        $ofRest = $rest === null ? 0.0 : 1 / $rest->variance();
        $rate = ($usual * $ofUsual + ($rest === null ? 0.0 : $rest->rate() * $ofRest)) / ($ofUsual + $ofRest);
        $variance = $this->variance * ($item->startIsRead ? 2 : 1) + $point->use ** 2 / ($ofUsual + $ofRest);

        return abs((float) $item->start - $rate * $point->use - $point->room) / sqrt($variance);
    }

    /**
     * @param  array<int, float>  $weights
     * @return list<string>
     */
    private static function outliers(Item $item, array $weights): array
    {
        $outliers = [];
        foreach ($item->points as $index => $point) {
            if ($weights[$index] < 1) {
                $outliers[] = $point->key;
            }
        }

        return $outliers;
    }

    /** @param  list<float>  $values  at least one */
    private static function median(array $values): float
    {
        sort($values);
        $count = count($values);

        return (($values[intdiv($count - 1, 2)] ?? 0.0) + ($values[intdiv($count, 2)] ?? 0.0)) / 2;
    }
}
