<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Work\Schedule\InvalidPlan;

/**
 * When to stop in the season and what to change then, at least cost: so much a stop, the work, and the life of parts that is
 * thrown away. What is changed falls due again.
 *
 * Some best plan stops only when something falls due: a stop before that can be put off until then, at no more cost. So what
 * is left to settle at each stop is what else is changed in it. Small plans are settled exactly, from each item's last change
 * on; larger ones by changing in each stop what falls due within so many acres, the best of all such reaches, bettered one item
 * at a time.
 */
final class ServiceStops
{
    /** So many choices of what else to change are looked at; where that settles it, the plan is the best there is. */
    private const MOST_LOOKS = 50_000;

    /** More items than this are not even tried. */
    private const EXACT = 14;

    /** Acres that are as good as the same. */
    private const SAME = 1e-6;

    /** @var array<string, float> by what is due when, the least that it has cost to come there */
    private array $known = [];

    private int $looks = 0;

    /** @var array{list<ServiceStop>, float} */
    private array $best = [[], INF];

    /** @param  list<StopItem>  $items */
    private function __construct(
        private readonly array $items,
        private readonly float $acres,
        private readonly float $stop,
    ) {
    }

    /**
     * @param  list<StopItem>  $items  at most 200
     * @param  float  $acres  of the season that are left, 0 or more
     * @param  float  $stop  what any stop costs, whatever is changed in it, 0 or more
     *
     * @throws InvalidPlan
     */
    public static function of(array $items, float $acres, float $stop): StopPlan
    {
        count($items) <= 200 && $acres >= 0 && $stop >= 0 && is_finite($acres + $stop) || throw InvalidPlan::stops();
        $items = array_values(array_filter($items, static fn (StopItem $item): bool => $item->due < $acres - self::SAME));
        foreach ($items as $item) {
            $acres / $item->life <= 50 || throw InvalidPlan::shortLived($item->key);
        }
        $stops = new self($items, $acres, $stop);
        $due = array_map(static fn (StopItem $item): float => $item->due, $items);
        $stops->best = $stops->byReach($due);
        $bound = $stops->atLeast($due);
        if (count($items) <= self::EXACT) {
            $stops->search($due, 0.0, []);
            $bound = $stops->looks <= self::MOST_LOOKS ? $stops->best[1] : $bound;
        }

        return new StopPlan($stops->best[0], $stops->best[1], min($bound, $stops->best[1]), $stops->best[1] <= $bound + self::SAME);
    }

    /**
     * @param  list<float>  $due
     * @param  list<ServiceStop>  $before
     */
    private function search(array $due, float $cost, array $before): void
    {
        $at = $due === [] ? INF : min($due);
        if ($at >= $this->acres - self::SAME) {
            $this->best = $cost < $this->best[1] ? [$before, $cost] : $this->best;

            return;
        }
        $key = implode(' ', array_map(static fn (float $acres): string => number_format($acres, 4, '.', ''), $due));
        if (($this->known[$key] ?? INF) <= $cost) {
            return;
        }
        $this->known[$key] = $cost;
        $must = $may = [];
        foreach ($due as $index => $acres) {
            if ($acres <= $at + self::SAME) {
                $must[] = $index;
            } elseif ($acres < $this->acres - self::SAME) {
                $may[] = $index;
            }
        }
        $next = [];
        for ($bits = 0; $bits < 1 << count($may); $bits++) {
            if (++$this->looks > self::MOST_LOOKS) {
                return;
            }
            $changed = $must;
            foreach ($may as $bit => $index) {
                if (($bits >> $bit & 1) === 1) {
                    $changed[] = $index;
                }
            }
            [$more, $then] = $this->change($changed, $due, $at);
            $next[] = [$cost + $more + $this->atLeast($then), $cost + $more, $then, $changed];
        }
        usort($next, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        foreach ($next as [$could, $sofar, $then, $changed]) {
            if ($could >= $this->best[1] - self::SAME) {
                return;
            }
            $this->search($then, $sofar, [...$before, $this->stopAt($at, $changed)]);
        }
    }

    /**
     * What no plan costs less than from there on: each item as often as it has to be changed, and as many stops as the one that
     * needs most.
     *
     * @param  list<float>  $due
     */
    private function atLeast(array $due): float
    {
        $work = 0.0;
        $stops = 0;
        foreach ($due as $index => $acres) {
            $times = max(0, (int) ceil(($this->acres - self::SAME - $acres) / $this->items[$index]->life));
            $work += $times * $this->items[$index]->work;
            $stops = max($stops, $times);
        }

        return $work + $stops * $this->stop;
    }

    /**
     * @param  list<int>  $changed
     * @param  list<float>  $due
     * @return array{float, list<float>} what a stop costs, and what is due when after it
     */
    private function change(array $changed, array $due, float $at): array
    {
        $cost = $this->stop;
        foreach ($changed as $index) {
            $item = $this->items[$index];
            $cost += $item->work + $item->price * max(0.0, $due[$index] - $at) / $item->life;
            $due[$index] = $at + $item->life;
        }

        return [$cost, array_values($due)];
    }

    /** @param  list<int>  $changed */
    private function stopAt(float $at, array $changed): ServiceStop
    {
        return new ServiceStop($at, array_map(fn (int $index): string => $this->items[$index]->key, $changed));
    }

    /**
     * In each stop what falls due within a reach: of all reaches at which that differs the one that costs least.
     *
     * @param  list<float>  $due
     * @return array{list<ServiceStop>, float}
     */
    private function byReach(array $due): array
    {
        $best = $this->played($due, array_fill(0, count($due), 0.0));
        $reaches = [];
        for ($step = 1; $step <= 40; $step++) {
            $reach = array_fill(0, count($due), $this->acres * $step / 40);
            $played = $this->played($due, $reach);
            [$best, $reaches] = $played[1] < $best[1] ? [$played, $reach] : [$best, $reaches];
        }
        $reaches = $reaches === [] ? array_fill(0, count($due), 0.0) : $reaches;
        foreach (array_keys($due) as $index) {
            foreach ([0.0, 0.05, 0.1, 0.2, 0.4, 1.0] as $share) {
                $other = array_replace($reaches, [$index => $share * $this->acres]);
                $played = $this->played($due, $other);
                [$best, $reaches] = $played[1] < $best[1] - self::SAME ? [$played, $other] : [$best, $reaches];
            }
        }

        return $best;
    }

    /**
     * @param  list<float>  $due
     * @param  array<int, float>  $reach  acres by item
     * @return array{list<ServiceStop>, float} the stops and what they cost
     */
    private function played(array $due, array $reach): array
    {
        $stops = [];
        $cost = 0.0;
        while ($due !== [] && ($at = min($due)) < $this->acres - self::SAME) {
            $changed = array_values(array_filter(array_keys($due), fn (int $index): bool => $due[$index] <= $at + self::SAME
                || ($due[$index] <= $at + $reach[$index] && $due[$index] < $this->acres - self::SAME)));
            [$more, $due] = $this->change($changed, $due, $at);
            $cost += $more;
            $stops[] = $this->stopAt($at, $changed);
        }

        return [$stops, $cost];
    }
}
