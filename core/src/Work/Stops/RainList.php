<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/**
 * What to do while it rains: the jobs that are worth most within the time. What is on one row and side is done by one person,
 * what belongs to no side with all that is done on the row; what comes off for several jobs of one person counts once. A job
 * that takes several is done by people who are together all day, such as the first two and the next two, before what each does
 * alone, so that nobody waits for the other; what else they do on that row they do together.
 */
final class RainList
{
    /** So many ways of filling everybody's time are kept from one place to the next, over the third power of the people: each way has so many more on from it. */
    private const MOST_WAYS = 45_000;

    /** Of so many at first: what they find is mostly worth as much as can be, and then nothing is looked at any further. */
    private const QUICK = [60, 250];

    /** Of what is worth the same to so little it does not matter which. */
    private const SAME = 1e-9;

    /** @var list<list<list<array{int, float, int, int<1, max>}>>> by place, what can be done there in one go, by one person or together; and where two can, what each can on a side */
    private array $places = [];

    /** @var int<1, max> so many are together all day */
    private int $together;

    /** Places before this one have jobs for several people. */
    private int $firstAlone = 0;

    /** @var list<array<int, float>> by place, what it and all behind it are worth at most with so many minutes of everybody together */
    private array $atMost;

    private bool $isExact = true;

    /**
     * @param  array<int, RainJob>  $jobs  for which there are people enough
     */
    private function __construct(
        private readonly array $jobs,
        private readonly int $minutes,
        private readonly int $people,
    ) {
        $this->together = max(1, max([1, ...array_map(static fn (RainJob $job): int => $job->people, $jobs)]));
        $places = $this->byPlace();
        usort($places, static fn (array $one, array $other): int => self::takesSeveral($other) <=> self::takesSeveral($one));
        foreach ($places as $of) {
            $this->places[] = $this->bundles($of);
            $this->firstAlone += self::takesSeveral($of) ? 1 : 0;
        }
        $this->atMost = $this->relaxed();
    }

    /**
     * @param  list<RainJob>  $jobs  whose parts are at hand, at most 60
     * @param  int  $minutes  that each person has, 1 to 1440
     * @param  int  $people  1 to 8
     *
     * @throws InvalidPlan
     */
    public static function of(array $jobs, int $minutes, int $people): RainPlan
    {
        $minutes >= 1 && $minutes <= 1440 && $people >= 1 && $people <= 8 && count($jobs) <= 60 || throw InvalidPlan::rain();
        count(array_unique(array_map(static fn (RainJob $job): string => $job->key, $jobs))) === count($jobs) || throw InvalidPlan::twice('A job');

        return (new self(array_filter($jobs, static fn (RainJob $job): bool => $job->people <= $people), $minutes, $people))->plan();
    }

    /** @return list<array<int, RainJob>> by row, each job with its index; what is for the planter as a whole by itself */
    private function byPlace(): array
    {
        $places = [];
        foreach ($this->jobs as $index => $job) {
            $places[$job->row === 0 ? "planter {$index}" : "row {$job->row}"][$index] = $job;
        }

        return array_values($places);
    }

    /**
     * @param  array<int, RainJob>  $jobs  of one place
     * @return list<list<array{int, float, int, int<1, max>}>> by who does it: one everything, or else one each side; minutes, worth, jobs as bits, and how many people
     */
    private function bundles(array $jobs): array
    {
        $ways = [$jobs];
        $sides = array_map(static fn (Side $side): array => array_filter($jobs, static fn (RainJob $job): bool => $job->side === $side), [Side::Left, Side::Right]);
        if ($sides[0] !== [] && $sides[1] !== []) {
            array_push($ways, ...$sides);
        }

        return array_map(function (array $of): array {
            $bundles = [];
            $alone = array_filter($of, static fn (RainJob $job): bool => $job->people === 1);
            $several = array_sum(array_map(static fn (int $index): int => 1 << $index, array_keys(array_diff_key($of, $alone))));
            foreach (count($alone) === count($of) ? [[$alone, 1]] : [[$alone, 1], [$of, $this->together]] as [$jobs, $people]) {
                [$found, $areAll] = Bundles::of($jobs, $this->minutes);
                $this->isExact = $this->isExact && $areAll;
                foreach ($found as [$minutes, $worth, $bits]) {
                    if ($people === 1 || ($bits & $several) !== 0) {
                        $bundles[] = [$minutes, $worth, $bits, $people];
                    }
                }
            }

            return $bundles;
        }, $ways);
    }

    /** @param  array<int, RainJob>  $jobs */
    private static function takesSeveral(array $jobs): bool
    {
        return array_filter($jobs, static fn (RainJob $job): bool => $job->people > 1) !== [];
    }

    /** @return list<array<int, float>> as if all had one long day together */
    private function relaxed(): array
    {
        $all = $this->minutes * $this->people;
        $behind = array_fill(0, $all + 1, 0.0);
        $atMost = [$behind];
        foreach (array_reverse($this->places) as $ways) {
            $with = self::takes($behind, $ways[0]);
            if (count($ways) === 3) {
                $apart = self::takes(self::takes($behind, $ways[1]), $ways[2]);
                $with = array_map(static fn (float $one, float $other): float => max($one, $other), $with, $apart);
            }
            $atMost[] = $behind = $with;
        }

        return array_reverse($atMost);
    }

    /**
     * @param  array<int, float>  $behind  by minutes
     * @param  list<array{int, float, int, int<1, max>}>  $bundles
     * @return array<int, float>
     */
    private static function takes(array $behind, array $bundles): array
    {
        $with = $behind;
        foreach ($behind as $minutes => $worth) {
            foreach ($bundles as [$takes, $more, , $people]) {
                $left = $minutes - $people * $takes;
                $with[$minutes] = $left < 0 ? $with[$minutes] : max($with[$minutes], $behind[$left] + $more);
            }
        }

        return $with;
    }

    private function plan(): RainPlan
    {
        $most = max(max(self::QUICK), min(20_000, intdiv(self::MOST_WAYS, $this->people ** 3)));
        [$best, $isWhole] = [[-1.0, []], false];
        foreach ([...self::QUICK, $most] as $ways) {
            // What was found before is sure: what is not worth more is not looked at any further.
            [$found, $isWhole] = $this->search($ways, $best[0]);
            $best = $found[0] > $best[0] ? $found : $best;
            $isWhole = $isWhole || $best[0] >= $this->atMost[0][$this->minutes * $this->people] - self::SAME;
            if ($isWhole) {
                break;
            }
        }
        $atMost = $this->isExact && $isWhole ? $best[0] : max($best[0], $this->isExact ? $this->atMost[0][$this->minutes * $this->people] : array_sum(array_map(static fn (RainJob $job): float => $job->worth, $this->jobs)));
        $people = array_map(fn (array $of): array => $this->jobsOf($of[1]), $best[1]);

        return new RainPlan(
            array_map(static fn (array $jobs): array => array_values(array_map(static fn (RainJob $job): string => $job->key, $jobs)), $people),
            array_column($best[1], 0), $best[0], $atMost, $atMost <= $best[0] + self::SAME, $this->missed($people, array_column($best[1], 0)),
        );
    }

    /**
     * From place to place, all ways of filling everybody's time that can still be worth more than what is sure.
     *
     * @return array{array{float, list<array{int, int}>}, bool} the worth, and by person the minutes and the jobs as bits; and whether none was left out
     */
    private function search(int $most, float $sure): array
    {
        $ways = [[0.0, array_fill(0, $this->people, [0, 0])]];
        $isWhole = true;
        foreach ($this->places as $at => $of) {
            $together = $at < $this->firstAlone ? $this->together : 1;
            $next = $this->with($ways, $of[0], $together);
            if (count($of) === 3) {
                $next = $this->with(array_values($this->with($ways, $of[1], $together)), $of[2], $together, $next);
            }
            $ways = [];
            foreach ($next as $way) {
                $could = $way[0] + $this->atMost[$at + 1][$this->minutes * $this->people - array_sum(array_column($way[1], 0))];
                if ($could > $sure + self::SAME) {
                    $ways[] = [$could, $way];
                }
            }
            if (count($ways) > $most) {
                $isWhole = false;
                usort($ways, static fn (array $one, array $other): int => $other[0] <=> $one[0]);
                $ways = array_slice($ways, 0, $most);
            }
            $ways = array_column($ways, 1);
        }
        usort($ways, static fn (array $one, array $other): int => $other[0] <=> $one[0]);

        return [$ways[0] ?? [0.0, array_fill(0, $this->people, [0, 0])], $isWhole];
    }

    /**
     * Each way as it is, and with each bundle given to each person, or to people who are together, who have the time.
     *
     * @param  list<array{float, list<array{int, int}>}>  $ways
     * @param  list<array{int, float, int, int<1, max>}>  $bundles
     * @param  int<1, max>  $together  so many have to stay together yet
     * @param  array<string, array{float, list<array{int, int}>}>  $known  others, by what everybody's minutes are
     * @return array<string, array{float, list<array{int, int}>}> the one worth most, by what everybody's minutes are
     */
    private function with(array $ways, array $bundles, int $together, array $known = []): array
    {
        foreach ($ways as $way) {
            self::keep($known, $way, $together);
            foreach ($bundles as [$minutes, $worth, $jobs, $needs]) {
                foreach (array_chunk($way[1], $needs, true) as $of) {
                    $taken = max(array_column($of, 0));
                    $person = array_key_first($of);
                    // Who has as much to do as the one before would be the same again.
                    $isSame = $needs === 1 && ($together === 1 ? $person > 0 : $person % $together > 0) && $way[1][$person - 1][0] === $taken;
                    if (count($of) === $needs && $taken + $minutes <= $this->minutes && ! $isSame) {
                        $people = array_replace($way[1], array_map(static fn (array $one): array => [$one[0] + $minutes, $one[1] | $jobs], $of));
                        self::keep($known, [$way[0] + $worth, array_values($people)], $together);
                    }
                }
            }
        }

        return $known;
    }

    /**
     * @param  array<string, array{float, list<array{int, int}>}>  $ways
     * @param  array{float, list<array{int, int}>}  $way
     * @param  int<1, max>  $together
     */
    private static function keep(array &$ways, array $way, int $together): void
    {
        if ($together === 1) {
            sort($way[1]);
        } else {
            $way[1] = self::sorted($way[1], $together);
        }
        $key = implode(',', array_column($way[1], 0));
        if (! isset($ways[$key]) || $ways[$key][0] < $way[0]) {
            $ways[$key] = $way;
        }
    }

    /**
     * Who is together stays so; which of them, and which of those who are together, is the same.
     *
     * @param  list<array{int, int}>  $people
     * @param  int<1, max>  $together
     * @return list<array{int, int}>
     */
    private static function sorted(array $people, int $together): array
    {
        $groups = $rest = [];
        foreach (array_chunk($people, $together) as $of) {
            sort($of);
            if (count($of) === $together) {
                $groups[] = $of;
            } else {
                $rest = $of;
            }
        }
        sort($groups);

        return [...array_merge(...$groups), ...$rest];
    }

    /** @return array<int, RainJob> */
    private function jobsOf(int $bits): array
    {
        return array_filter($this->jobs, static fn (int $index): bool => ($bits >> $index & 1) === 1, ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param  list<array<int, RainJob>>  $people
     * @param  list<int>  $taken
     * @return array<string, int>
     */
    private function missed(array $people, array $taken): array
    {
        $done = array_replace(...[[], ...$people]);
        $missed = [];
        foreach (array_diff_key($this->jobs, $done) as $job) {
            if ($job->worth <= 0) {
                continue;
            }
            $more = [PHP_INT_MAX];
            $here = null;
            foreach (array_filter(array_chunk($people, max(1, $job->people), true), static fn (array $group): bool => count($group) === $job->people) as $group) {
                $of = array_replace(...array_values($group));
                $off = array_replace([], ...array_map(static fn (RainJob $other): array => $other->access, array_values($of)));
                $isHere = array_filter($of, static fn (RainJob $other): bool => $other->row === $job->row && $job->row > 0) !== [];
                $over = max(1, max([0, ...array_intersect_key($taken, $group)]) + $job->minutes + array_sum(array_diff_key($job->access, $off)) - $this->minutes);
                $more[] = $over;
                $here = $isHere ? $over : $here;
            }
            $missed[$job->key] = $here ?? min($more);
        }
        asort($missed);

        return array_slice($missed, 0, 3, true);
    }
}
