<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

/**
 * What can be done at one place in one go, for each number of minutes the choice that is worth most: things that come off are
 * counted once, and with them off what is left is a knapsack of jobs.
 */
final class Bundles
{
    /** So many different sets of things that are off are looked at. */
    private const MOST_SETS = 2_000;

    /**
     * @param  array<int, RainJob>  $jobs  by index
     * @return array{list<array{int, float, int}>, bool} minutes, worth and the jobs as bits of their index, none of them behind another; and whether all were looked at
     */
    public static function of(array $jobs, int $most): array
    {
        [$sets, $areAll] = self::sets($jobs);
        $best = [];
        foreach ($sets as $off) {
            $base = array_sum($off);
            if ($base > $most) {
                continue;
            }
            /** @var array<int, array{float, int}> $worth by minutes */
            $worth = [$base => [0.0, 0]];
            foreach ($jobs as $index => $job) {
                if (array_diff_key($job->access, $off) !== []) {
                    continue;
                }
                $further = $worth;
                foreach ($worth as $minutes => [$of, $chosen]) {
                    $then = $minutes + $job->minutes;
                    if ($then <= $most && (! isset($further[$then]) || $further[$then][0] < $of + $job->worth)) {
                        $further[$then] = [$of + $job->worth, $chosen | 1 << $index];
                    }
                }
                $worth = $further;
            }
            foreach ($worth as $minutes => $of) {
                $best[$minutes] = isset($best[$minutes]) && $best[$minutes][0] >= $of[0] ? $best[$minutes] : $of;
            }
        }
        ksort($best);
        $bundles = [];
        $sofar = 0.0;
        foreach ($best as $minutes => [$worth, $chosen]) {
            if ($worth > $sofar) {
                $bundles[] = [$minutes, $worth, $chosen];
                $sofar = $worth;
            }
        }

        return [$bundles, $areAll];
    }

    /**
     * What can be off together.
     *
     * @param  array<int, RainJob>  $jobs
     * @return array{list<array<string, int>>, bool}
     */
    private static function sets(array $jobs): array
    {
        $sets = ['' => []];
        foreach ($jobs as $job) {
            foreach ($sets as $off) {
                $both = $off + $job->access;
                ksort($both);
                $sets[implode('|', array_keys($both))] = $both;
            }
            if (count($sets) > self::MOST_SETS) {
                return [array_values($sets), false];
            }
        }

        return [array_values($sets), true];
    }
}
