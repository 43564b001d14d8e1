<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Workshop;
use Ustrel\Core\Work\Schedule\LinkCause;

/** What would bring a plan that is late for planting in time: more people, or parts that came sooner. */
final readonly class InTime
{
    private const MOST_PEOPLE = 3;

    public function __construct(private WorkQuery $work)
    {
    }

    /**
     * @param  list<Planter>  $planters  that are planned, each with its spec sheet and the workshop
     * @return list<array{people: int, part: int|null, name: string, days: int}> each by itself: so many more people, or that part so many days sooner; nothing where the plan is in time
     */
    public function of(Workshop $workshop, array $planters, WorkPlan $plan): array
    {
        if (($plan->schedule->late ?? 0) <= 0) {
            return [];
        }
        $meets = fn (WhatIf $if): bool => ($this->work->of($workshop, $planters, $if)->schedule->late ?? 0) <= 0;
        $found = [];
        for ($more = 1; $more <= self::MOST_PEOPLE; $more++) {
            if ($meets(new WhatIf(morePeople: $more))) {
                $found[] = ['people' => $more, 'part' => null, 'name' => '', 'days' => 0];
                break;
            }
        }
        foreach (self::awaited($plan) as $type => [$name, $most]) {
            if ($meets(new WhatIf(latePart: $type, lateBy: -$most))) {
                $found[] = ['people' => 0, 'part' => $type, 'name' => $name, 'days' => self::least($most, static fn (int $days): bool => $meets(new WhatIf(latePart: $type, lateBy: -$days)))];
            }
        }

        return $found;
    }

    /** @return array<int, array{string, int}> part types that settle the end, with the days until they come */
    private static function awaited(WorkPlan $plan): array
    {
        $awaited = [];
        foreach ($plan->schedule->chain ?? [] as $link) {
            foreach ($link->cause === LinkCause::Arrival ? $plan->pieces[$link->task]->parts : [] as [, $type, $arrival]) {
                $days = $arrival->on === null ? 0 : $plan->first->daysUntil($arrival->on);
                if ($type !== null && $days > 0) {
                    $awaited[$type->id] = [$type->name, max($days, $awaited[$type->id][1] ?? 0)];
                }
            }
        }

        return $awaited;
    }

    /**
     * The fewest days that do, of 1 to a number that does; more never do less.
     *
     * @param  callable(int): bool  $does
     */
    private static function least(int $most, callable $does): int
    {
        $least = 1;
        while ($least < $most) {
            $middle = intdiv($least + $most, 2);
            $does($middle) ? $most = $middle : $least = $middle + 1;
        }

        return $most;
    }
}
