<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * Forecasts the items of one kind on one planter together, so that a row with one reading borrows from the rest, and from
 * parts that are gone: each item wears as room(u) = start - rate x u, with u the effective furrow distance.
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

    /** So many nominal lives away is out of sight. */
    private const HORIZON = 30.0;

    /** The turning point is found to this share of the allowance. */
    private const NEAR = 1e-5;

    /** The second reading that is tried lies so far from the first, as a share of the allowance. */
    private const FIRST_STEP = 0.1;

    private const ROUNDS = 8;

    /** The size of a new part is true within this share of the allowance at least: play begins near nothing. */
    private const NEW_SHARE = 0.1;

    private float $watchDeviate;

    /** @param  bool  $learns  the reading error is learned from the items; else it is taken as it is told */
    public function __construct(
        private WearPath $path,
        private ReadingError $error,
        private float $watchChance = self::WATCH_CHANCE,
        private bool $learns = true,
    ) {
        $this->watchDeviate = Normal::quantile($watchChance);
    }

    /**
     * @param  list<Item>  $items  with keys of their own
     * @param  float|null  $planned  what the items still have to run this season, effective metres; null without a plan
     * @param  list<Item>  $gone  parts of the same kind that were taken out, or contacts before they were set anew
     * @return array<string, WearForecast> by item key
     */
    public function of(array $items, ?float $planned, array $gone = []): array
    {
        [$items, $changed] = $this->sinceChanged($items, $gone);
        [$error, $rates, $weights] = $this->weighed([...$items, ...$gone]);
        $pool = $this->poolOf($rates);
        // By what is on the planter now: what was read of it before would hide it.
        $growsBack = $this->poolOf(array_slice($rates, 0, count($items)))->growsBack();
        $forecasts = [];
        foreach ($items as $index => $item) {
            $forecasts[$item->key] = $this->forecast($item, $pool, $error, $planned, $weights[$index] ?? [], $growsBack, $changed[$index] ?? null);
        }

        return $forecasts;
    }

    /**
     * How parts of the kind wear, new ones and those that are there.
     *
     * @param  list<Item>  $items  with keys of their own
     * @param  list<Item>  $gone
     */
    public function life(array $items, array $gone = []): KindLife
    {
        [$error, $rates, $weights] = $this->weighed([...$items, ...$gone]);
        $pool = $this->poolOf($rates);
        $beliefs = [];
        foreach ($items as $index => $item) {
            if ($item->start !== null) {
                $beliefs[$item->key] = $this->belief($item, $pool, $error, $weights[$index] ?? []);
            }
        }

        return new KindLife(
            $pool->mean, sqrt($pool->scatter), sqrt($pool->ofMean), min(Item::NEW_PART_SD * $this->path->gain($this->path->allowance), self::NEW_SHARE * $this->path->allowance),
            $this->path->gain($this->path->allowance / 2) * sqrt($error->variance()), $pool->items < self::FEWEST_ITEMS, $beliefs,
        );
    }

    /**
     * What the items say together.
     *
     * @param  list<Item>  $items
     */
    public function pool(array $items): Pool
    {
        return $this->poolOf($this->weighed($items)[1]);
    }

    /** @param  list<array{float, float}|null>  $rates */
    private function poolOf(array $rates): Pool
    {
        return Pool::of(array_values(array_filter($rates)), $this->path->nominalRate());
    }

    /**
     * @param  list<Item>  $all
     * @return array{ReadingError, list<array{float, float}|null>, list<array<int, float>>} the error as learned, each item's own rate with its variance, and the weights of its points
     */
    private function weighed(array $all): array
    {
        $error = $this->learns ? $this->error->learnedFrom($all) : $this->error;
        $owns = array_map(static fn (Item $item): ?OwnRate => OwnRate::of($item, $error), $all);
        [$middle, $spread] = $this->usual(array_values(array_filter($owns)));
        $weights = [];
        $rates = [];
        foreach ($all as $index => $item) {
            $own = $owns[$index] ?? null;
            $weights[] = $of = self::weights($item, $own, $error, $middle, (self::UNLIKE * $spread) ** 2);
            // What is doubted says nothing of the others.
            $own = min([1.0, ...$of]) < 1 ? OwnRate::of($item, $error, array_map(static fn (float $weight): float => $weight < 1 ? 0.0 : 1.0, $of)) : $own;
            $rates[] = $own === null ? null : [$own->rate(), $own->variance()];
        }

        return [$error, $rates, $weights];
    }

    /**
     * A part that reads like a new one from some reading on, and wears on from there, was changed and nobody entered it: until somebody
     * says so, it is taken from that reading on.
     *
     * @param  list<Item>  $items
     * @param  list<Item>  $gone
     * @return array{list<Item>, array<int, string>} the items, and by index the reading from which they are taken
     */
    private function sinceChanged(array $items, array $gone): array
    {
        $error = $this->learns ? $this->error->learnedFrom([...$items, ...$gone]) : $this->error;
        $owns = array_values(array_filter(array_map(static fn (Item $item): ?OwnRate => OwnRate::of($item, $error), [...$items, ...$gone])));
        [$usual, $spread] = $this->usual($owns);
        $changed = [];
        foreach ($items as $index => $item) {
            while (($at = self::jump($item, $error, $usual, (self::UNLIKE * $spread) ** 2)) !== null) {
                $changed[$index] = $item->points[$at]->key;
                $item = $item->since($at);
            }
            $items[$index] = $item;
        }

        return [$items, $changed];
    }

    /**
     * The reading from which on the item is another part: by far better than one part all along, and better than one part with one slip of
     * the hand. With at least one more behind it, or nobody can tell it from a slip.
     */
    private static function jump(Item $item, ReadingError $error, float $usual, float $variance): ?int
    {
        $whole = OwnRate::of($item, $error)?->misfit($usual, $variance) ?? 0.0;
        $best = null;
        $most = self::CUT ** 2;
        if ($whole <= $most) {
            return null;
        }
        foreach (array_keys($item->points) as $slip) {
            $most = max($most, $whole - (OwnRate::of($item, $error, null, $slip)?->misfit($usual, $variance) ?? 0.0));
        }
        for ($at = 0; $at < count($item->points) - 1; $at++) {
            $before = $at === 0 ? $item->start : $item->points[$at - 1]->room;
            if ($item->points[$at]->room <= $before) {
                continue;
            }
            $parts = (OwnRate::of($item->until($at), $error)?->misfit($usual, $variance) ?? 0.0) + (OwnRate::of($item->since($at), $error)?->misfit($usual, $variance) ?? 0.0);
            if ($whole - $parts > $most) {
                [$best, $most] = [$at, $whole - $parts];
            }
        }

        return $best;
    }

    /**
     * @param  array<int, float>  $weights  of the item's points
     * @param  string|null  $changed  the reading since which it seems to be another part
     */
    private function forecast(Item $item, Pool $pool, ReadingError $error, ?float $planned, array $weights, bool $growsBack, ?string $changed): WearForecast
    {
        // Where parts seem to grow back, or nobody knows which part it is, odds say little.
        $isThin = $growsBack || $changed !== null || $pool->items < self::FEWEST_ITEMS && count($item->points) < self::FEWEST_READINGS;
        if ($item->start === null) {
            return WearForecast::unread($item, $planned === null ? null : $this->firstWatched($pool, $error, $planned));
        }
        $belief = $this->belief($item, $pool, $error, $weights);
        $doubted = array_keys(array_filter($weights, static fn (float $weight): bool => $weight < 1));

        return WearForecast::of(
            $item,
            $belief,
            $isThin,
            $planned === null ? null : $belief->chanceBy($item->use + $planned),
            $planned === null ? null : $this->watchUnder($item, $pool, $error, $planned, $weights),
            array_map(static fn (int $index): string => $item->points[$index]->key, $doubted),
            self::grown($item, $belief, $doubted) ?? $changed,
            $growsBack,
        );
    }

    /** @param  array<int, float>  $weights */
    private function belief(Item $item, Pool $pool, ReadingError $error, array $weights): Belief
    {
        return Belief::of($item, $pool, $error, $weights, self::HORIZON * $this->path->life->metres);
    }

    /**
     * The room under which a reading taken now would make the chance of reaching the limit within the planned use
     * greater than the shop's figure: the chance falls steadily with what is read.
     *
     * @param  array<int, float>  $weights  of the points so far
     */
    private function watchUnder(Item $item, Pool $pool, ReadingError $error, float $planned, array $weights): float
    {
        if ($item->use <= 0) {
            return $this->firstWatched($pool, $error, $planned);
        }

        return $this->turning(
            fn (float $room): Belief => $this->belief($item->with(new Point('', $item->use, $room, null, $this->path->gain($room))), $pool, $error, [...$weights, 1.0]),
            $item->use + $planned,
            (float) $item->start - $pool->mean * $item->use,
        );
    }

    /** The same where the reading is itself the start. */
    private function firstWatched(Pool $pool, ReadingError $error, float $planned): float
    {
        return $this->turning(
            fn (float $room): Belief => $this->belief(Item::found('', [new Point('', 0.0, $room, null, $this->path->gain($room))], 0.0), $pool, $error, []),
            $planned,
            $pool->mean * $planned,
        );
    }

    /**
     * Where the chance passes the shop's figure: by the secant method while the rate is surely over 0, since the deviate is all but
     * linear in the reading then; else, and where that leads nowhere, between bounds.
     *
     * @param  callable(float): Belief  $after  such a reading
     * @param  float  $end  the use by which the limit is or is not reached
     * @param  float  $near  a reading to start from
     */
    private function turning(callable $after, float $end, float $near): float
    {
        $allowance = $this->path->allowance;
        $off = fn (float $room): float => $after($room)->deviateBy($end) - $this->watchDeviate;
        [$last, $room] = [$near, $near + self::FIRST_STEP * $allowance];
        [$offLast, $offRoom] = [$off($last), $off($room)];
        for ($round = 0; $round < self::ROUNDS && is_finite($offRoom) && $offRoom !== $offLast; $round++) {
            [$last, $room] = [$room, $room - $offRoom * ($room - $last) / ($offRoom - $offLast)];
            if (abs($room - $last) < self::NEAR * $allowance) {
                return $room;
            }
            [$offLast, $offRoom] = [$offRoom, $off($room)];
        }

        return Crossing::of(fn (float $room): float => $this->watchChance - $after($room)->chanceBy($end), -$allowance, 4 * $allowance, self::NEAR * $allowance);
    }

    /**
     * What is usual among the items, unmoved by a few that are not: the median of their rates, and how far they scatter.
     *
     * @param  list<OwnRate>  $owns
     * @return array{float, float} per metre
     */
    private function usual(array $owns): array
    {
        if (count($owns) < self::FEWEST_ITEMS) {
            return [$this->path->nominalRate(), $this->path->nominalRate()];
        }
        $rates = array_map(static fn (OwnRate $own): float => $own->rate(), $owns);
        $middle = self::median($rates);
        $scatter = (self::MAD_TO_SD * self::median(array_map(static fn (float $rate): float => abs($rate - $middle), $rates))) ** 2;
        $ofRates = self::median(array_map(static fn (OwnRate $own): float => $own->variance(), $owns));

        return [$middle, sqrt(max($scatter - $ofRates, Pool::leastSpread($middle, $this->path->nominalRate()) ** 2))];
    }

    /**
     * A weight for each point of an item: 1, or less for one that the item's other points and what is usual make hard to
     * believe. First goes the one without which the rest agree best: by so much as the misfit falls, so many standard deviations,
     * squared, it lies from where the rest expects it. Never are more than half of several doubted.
     *
     * @param  OwnRate|null  $all  what all points say together
     * @param  float  $variance  of a rate about what is usual
     * @return array<int, float> over 0 to 1
     */
    private static function weights(Item $item, ?OwnRate $all, ReadingError $error, float $usual, float $variance): array
    {
        $weights = array_fill(0, count($item->points), 1.0);
        $misfit = $all?->misfit($usual, $variance) ?? 0.0;
        $rounds = count($weights) === 1 ? 1 : intdiv(count($weights), 2);
        for ($round = 0; $round < $rounds && $misfit > self::CUT ** 2; $round++) {
            $worst = null;
            $least = INF;
            foreach (array_keys($weights, 1.0, true) as $index) {
                $without = OwnRate::of($item, $error, $weights, $index)?->misfit($usual, $variance) ?? 0.0;
                if ($without < $least) {
                    [$worst, $least] = [$index, $without];
                }
            }
            if ($worst === null || $misfit - $least <= self::CUT ** 2) {
                break;
            }
            $weights[$worst] = (self::CUT ** 2 / ($misfit - $least)) ** 2;
            $misfit = OwnRate::of($item, $error, $weights)?->misfit($usual, $variance) ?? 0.0;
        }

        return $weights;
    }

    /**
     * The newest reading, where it is doubted because it shows more room than there can be: was the part changed?
     *
     * @param  list<int>  $doubted
     */
    private static function grown(Item $item, Belief $belief, array $doubted): ?string
    {
        $newest = count($item->points) - 1;
        $point = $item->points[$newest] ?? null;

        return $point !== null && in_array($newest, $doubted, true) && $point->room > $belief->roomAt($point->use) ? $point->key : null;
    }

    /** @param  list<float>  $values  at least one */
    private static function median(array $values): float
    {
        sort($values);
        $count = count($values);

        return (($values[intdiv($count - 1, 2)] ?? 0.0) + ($values[intdiv($count, 2)] ?? 0.0)) / 2;
    }
}
