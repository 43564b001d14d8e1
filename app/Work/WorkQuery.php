<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Decision;
use App\Models\PartType;
use App\Models\Planter;
use App\Models\Workshop;
use App\Parts\StoreQuery;
use App\Plan\DecideQuery;
use App\Plan\Decisions;
use App\Plan\PartPrices;
use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Arrival;
use Ustrel\Core\Parts\Supply;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Work\Order;
use Ustrel\Core\Work\Piece;
use Ustrel\Core\Work\Scheduler;
use Ustrel\Core\Work\ToDo;
use Ustrel\Core\Work\WorkHours;
use Ustrel\Core\Work\WorkList;

/** Makes the plan of what was decided and is not done: who does what when, with the people, hours and parts that there are. */
final readonly class WorkQuery
{
    private const DAY = 1440;

    /** Parts are there from this minute of their day on. */
    private const POST = 720;

    public function __construct(
        private DecideQuery $decide,
        private StoreQuery $store,
    ) {
    }

    /** @return list<Planter> those on which something was decided, each with its spec sheet and the workshop */
    public static function planters(Workshop $workshop): array
    {
        return array_values($workshop->planters()->whereIn('id', Decision::query()->where('action', '<>', Action::CarryOver)->select('planter_id'))->with('specSheet')->get()
            ->each(static fn (Planter $of): Planter => $of->setRelation('workshop', $workshop))->all());
    }

    /**
     * @param  list<Planter>  $planters  of the workshop, each with its spec sheet and the workshop
     */
    public function of(Workshop $workshop, array $planters, WhatIf $if = new WhatIf()): WorkPlan
    {
        $first = $workshop->today();
        $supplies = $this->store->supplies($workshop);
        $now = CarbonImmutable::now($workshop->time_zone);
        // Who plants first gets the parts first.
        usort($planters, static fn (Planter $one, Planter $other): int => [$one->planting_start->iso ?? '9999', $one->id] <=> [$other->planting_start->iso ?? '9999', $other->id]);
        $pieces = $undated = $tasks = [];
        foreach ($planters as $planter) {
            $planting = $planter->planting_start === null ? null : self::DAY * ($first->daysUntil($planter->planting_start) - $if->sooner);
            $planned = $this->pieces($planter, $supplies, $first, $if);
            $dated = array_values(array_filter($planned, static fn (PlannedWork $of): bool => ! $of->isUndated()));
            $among = array_flip(array_map(static fn (PlannedWork $of): string => $of->piece->key, $dated));
            foreach ($dated as $of) {
                $pieces[$of->key()] = $of;
                $tasks[] = $of->piece->task((string) $planter->id, 60 * $now->hour + $now->minute, $planting, $among);
            }
            array_push($undated, ...array_values(array_filter($planned, static fn (PlannedWork $of): bool => $of->isUndated())));
        }
        [$names, $hours] = self::people($workshop, $first, $if->morePeople);

        return new WorkPlan($first, $names, $pieces, $undated, $hours === [] ? null : Scheduler::plan($tasks, $hours), ($planters[0] ?? null)?->planting_start?->plusDays(-$if->sooner));
    }

    /**
     * @param  array<int, Supply>  $supplies
     * @return list<PlannedWork>
     */
    private function pieces(Planter $planter, array $supplies, Day $first, WhatIf $if): array
    {
        $decisions = $this->decide->of($planter);
        $types = PartPrices::of($planter, $planter->carries())->types;
        $parts = $todos = $asked = [];
        foreach (self::blockingFirst($decisions) as [$proposal, $blocks]) {
            $instant = 0;
            foreach ($proposal->parts as $place) {
                $type = $types[$place->key()] ?? null;
                [, , $arrival] = $parts[$place->key()] ??= [$place, $type, self::arrival($type, $supplies, $if)];
                $instant = max($instant, $arrival->on === null ? 0 : self::DAY * max(0, $first->daysUntil($arrival->on)) + self::POST);
            }
            $key = $proposal->place->key();
            $asked[$key] = $proposal;
            $todos[] = new ToDo($key, $proposal->jobs, $instant, $blocks);
        }

        $book = $decisions->now->jobs;

        return array_map(static function (Piece $piece) use ($planter, $parts, $book, $asked): PlannedWork {
            $places = array_map(static fn (Job $job): string => "{$job->row}:{$job->what->value}:{$job->side->value}", array_filter($piece->jobs, static fn (Job $job): bool => $job->action === Action::Change));

            return new PlannedWork($planter, $piece, $book->steps($piece->jobs), array_intersect_key($asked, array_flip($piece->todos)), array_values(array_intersect_key($parts, array_flip($places))));
        }, WorkList::pieces($todos, $book, Order::typical()));
    }

    /** @return list<array{Proposal, bool}> what was decided, and whether planting waits for it */
    private static function blockingFirst(Decisions $decisions): array
    {
        $work = array_map(static fn (Proposal $proposal): array => [$proposal, ($decisions->at($proposal->place->key())->reading->verdict ?? Verdict::Sound)->severity() >= Verdict::Change->severity()], $decisions->work());
        usort($work, static fn (array $one, array $other): int => $other[1] <=> $one[1]);

        return $work;
    }

    /** @param  array<int, Supply>  $supplies  by part type */
    private static function arrival(?PartType $type, array $supplies, WhatIf $if): Arrival
    {
        $arrival = $type === null ? null : ($supplies[$type->id] ?? null)?->take();

        return $arrival === null ? Arrival::notOrdered(null) : ($type->id === $if->latePart ? $arrival->later($if->lateBy) : $arrival);
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
