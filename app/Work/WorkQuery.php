<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Plan\KeptPlan;
use App\Models\Planter;
use App\Models\Workshop;
use App\Parts\StoreQuery;
use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Work\Schedule\Kept;
use Ustrel\Core\Work\Schedule\Scheduler;
use Ustrel\Core\Work\Schedule\WorkHours;

/** Makes the plan of what was decided and is not done: who does what when, with the people, hours and parts that there are. */
final readonly class WorkQuery
{
    private const DAY = 1440;

    public function __construct(
        private OpenWork $open,
        private StoreQuery $store,
    ) {
    }

    /** @return list<Planter> all of a workshop, each with its spec sheet and the workshop */
    public static function planters(Workshop $workshop): array
    {
        return array_values($workshop->ownPlanters()->with('specSheet')->get()
            ->each(static fn (Planter $of): Planter => $of->setRelation('workshop', $workshop))->all());
    }

    /**
     * @param  list<Planter>  $planters  of the workshop, each with its spec sheet and the workshop
     * @param  KeptPlan|null  $kept  that it goes on as, unless something has broken it; what was set by hand stays all the same
     */
    public function of(Workshop $workshop, array $planters, WhatIf $if = new WhatIf(), ?KeptPlan $kept = null): WorkPlan
    {
        $first = $workshop->today();
        $supplies = $this->store->supplies($workshop);
        $clock = CarbonImmutable::now($workshop->time_zone);
        $now = 60 * $clock->hour + $clock->minute;
        [$names, $hours] = self::people($workshop, $first, $if->morePeople);
        // Who plants first gets the parts first.
        usort($planters, static fn (Planter $one, Planter $other): int => [$one->planting_start->iso ?? '9999', $one->id] <=> [$other->planting_start->iso ?? '9999', $other->id]);
        $pieces = $undated = $tasks = $dates = $begun = $byHand = [];
        $places = $kept === null ? null : new KeptPlaces($kept, $names, $first);
        foreach ($planters as $planter) {
            $dates[$planter->id] = $planter->planting_start?->iso;
            $planting = $planter->planting_start === null ? null : self::DAY * ($first->daysUntil($planter->planting_start) - $if->sooner);
            $planned = $this->open->on($planter, $supplies, $first, $if);
            $dated = array_values(array_filter($planned, static fn (PlannedWork $of): bool => ! $of->isUndated()));
            $among = array_flip(array_map(static fn (PlannedWork $of): string => $of->piece->key, $dated));
            $ticks = $kept === null ? null : Ticks::of($planter);
            foreach ($dated as $of) {
                $held = $places?->byHand($of);
                $pieces[$of->key()] = $of;
                $tasks[] = $of->piece->task((string) $planter->id, $now, $planting, $among, $held);
                $begun += $ticks?->on($of) ? [$of->key() => true] : [];
                $byHand += $held === null ? [] : [$of->key() => true];
            }
            array_push($undated, ...array_values(array_filter($planned, static fn (PlannedWork $of): bool => $of->isUndated())));
        }
        $asKept = $places?->lasting($tasks, $pieces) ?? [];
        $placed = $places?->of($pieces) ?? [];
        $breaches = $places === null || $hours === [] ? [] : Kept::breaches($asKept, $hours, $placed, $now, $begun) + $places->sooner($pieces, $dates);
        $goesOn = $places !== null && $hours !== [] && $breaches === [] && $if->isNothing();
        $schedule = $hours === [] ? null : ($goesOn ? Kept::schedule($asKept, $hours, array_filter($placed, static fn (array $place): bool => ! in_array(null, $place[0], true))) : Scheduler::plan($tasks, $hours));

        return new WorkPlan($first, $names, $hours, $pieces, $undated, $schedule, ($planters[0] ?? null)?->planting_start?->plusDays(-$if->sooner), $kept, $if->isNothing() ? $breaches : [], $byHand);
    }

    /** @return array{list<string>, list<WorkHours>} by name, those who have hours */
    private static function people(Workshop $workshop, Day $first, int $more): array
    {
        $crew = array_values(array_filter($workshop->crew, static fn (array $one): bool => array_sum(array_map(static fn (float|int $hours): float => round(60 * $hours), $one['hours'])) > 0));
        usort($crew, static fn (array $one, array $other): int => array_sum($other['hours']) <=> array_sum($one['hours']));
        for ($at = 0; $at < $more && $crew !== []; $at++) {
            $crew[] = ['name' => '', 'hours' => $crew[0]['hours']];
        }

        return [array_column($crew, 'name'), array_map(static fn (array $one): WorkHours => WorkHours::of($first, $one['hours']), $crew)];
    }
}
