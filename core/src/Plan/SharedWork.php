<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Plan\Jobs\Job;

/** Proposals that the same work puts right, as one: its parts and jobs once, at the highest of their risks. */
final class SharedWork
{
    /**
     * @param  array<Proposal>  $proposals
     * @return list<Proposal> in the order of the first of each; at the place with the highest risk
     */
    public static function of(array $proposals): array
    {
        /** @var list<non-empty-list<Proposal>> $groups */
        $groups = [];
        foreach ($proposals as $proposal) {
            $group = [$proposal];
            $others = [];
            foreach ($groups as $other) {
                if (self::overlap($group, $other)) {
                    $group = [...$other, ...$group];
                } else {
                    $others[] = $other;
                }
            }
            $groups = [...$others, $group];
        }

        return array_map(self::together(...), $groups);
    }

    /**
     * @param  non-empty-list<Proposal>  $one
     * @param  non-empty-list<Proposal>  $other
     */
    private static function overlap(array $one, array $other): bool
    {
        return array_intersect(self::jobKeys($one), self::jobKeys($other)) !== [];
    }

    /**
     * @param  list<Proposal>  $of
     * @return list<string>
     */
    private static function jobKeys(array $of): array
    {
        return array_merge(...array_map(static fn (Proposal $one): array => array_map(static fn (Job $job): string => $job->key(), $one->jobs), $of));
    }

    /** @param  non-empty-list<Proposal>  $group */
    private static function together(array $group): Proposal
    {
        $worst = $group[0];
        $parts = $jobs = [];
        $without = 0;
        foreach ($group as $proposal) {
            $worst = ($proposal->risk->chance ?? -1.0) > ($worst->risk->chance ?? -1.0) ? $proposal : $worst;
            foreach ($proposal->parts as $part) {
                $parts[$part->key()] = $part;
            }
            foreach ($proposal->jobs as $job) {
                $jobs[$job->key()] = $job;
            }
            $without = max($without, $proposal->withoutSlot);
        }

        return count($group) === 1 ? $worst : new Proposal(
            $worst->place, $worst->action, $worst->why, $worst->to, $worst->by, array_values($parts), $without, array_values($jobs), $worst->cost, $worst->minutes, $worst->risk, $worst->lookAgain, $worst->isForQualified,
        );
    }
}
