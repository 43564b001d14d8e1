<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Plan\KeptPlan;
use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Change;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\UnreadableTime;
use Ustrel\Core\Work\Schedule\Breach;
use Ustrel\Core\Work\Schedule\Kept;
use Ustrel\Core\Work\Schedule\Placed;
use Ustrel\Core\Work\Schedule\Task;

/** Keeps the plan of work, made anew or with pieces that are set by hand; what is set stays, the rest is planned around it. */
final readonly class KeepPlan
{
    public function __construct(
        private Change $change,
        private WorkQuery $work,
    ) {
    }

    /**
     * @param  Planter|null  $of  null: all planters of the workshop together
     * @param  int  $seen  the revision that was looked at, 0 where none is kept
     * @param  bool  $remake  where it goes on as it is otherwise
     * @param  list<array{piece: string, person: string, starts: string}>  $set  as the shop's clock has it, such as 2026-12-01T08:00
     * @param  list<string>  $letGo  pieces that are planned like the rest again
     *
     * @throws Refused
     */
    public function __invoke(User $by, ?Planter $of, int $seen, bool $remake, array $set, array $letGo): WorkPlan
    {
        return $this->change->ofWorkshop($by->workshop_id, function (Workshop $workshop) use ($by, $of, $seen, $remake, $set, $letGo): WorkPlan {
            $sent = hash('sha256', json_encode([$by->id, $seen, $remake, $set, $letGo], JSON_THROW_ON_ERROR));
            $planters = $of === null ? WorkQuery::planters($workshop) : [$of->setRelation('workshop', $workshop)];
            $kept = self::of($workshop, $of) ?? new KeptPlan(['workshop_id' => $workshop->id, 'planter_id' => $of?->id, 'revision' => 0, 'pieces' => [], 'planting' => [], 'sent_sha256' => null]);
            if ($kept->sent_sha256 === $sent) {
                // Sent again, because the answer was lost.
                return $this->work->of($workshop, $planters, kept: $kept)->keptAs($kept);
            }
            if ($kept->revision !== $seen) {
                throw $kept->exists ? Refused::because('seen', 'plan.other_kept', ['by' => $kept->user->name]) : Refused::because('seen', 'plan.none_kept');
            }
            if ($set !== [] || $letGo !== []) {
                $now = $this->work->of($workshop, $planters);
                $kept->pieces = self::changed($kept->pieces, $now, $set, $letGo);
                self::held($now, $kept);
            }
            if ($remake) {
                $kept->pieces = array_values(array_filter($kept->pieces, static fn (array $piece): bool => $piece['by_hand']));
            }
            $plan = $this->work->of($workshop, $planters, kept: $kept);
            if ($plan->hours === []) {
                throw Refused::because('set', 'plan.nobody');
            }
            $kept->fill([
                'pieces' => self::pieces($plan), 'planting' => array_column(array_map(static fn (Planter $planter): array => [$planter->id, $planter->planting_start?->iso], $planters), 1, 0),
                'revision' => $seen + 1, 'user_id' => $by->id, 'sent_sha256' => $sent, 'made_at' => CarbonImmutable::now(),
            ])->save();

            return $plan->keptAs($kept->setRelation('user', $by));
        });
    }

    public static function of(Workshop $workshop, ?Planter $planter): ?KeptPlan
    {
        return KeptPlan::query()->where(['workshop_id' => $workshop->id, 'planter_id' => $planter?->id])->with('user')->first();
    }

    /**
     * @param  list<array{planter: int, jobs: list<string>, person: string, starts: string, minutes: int, by_hand: bool, with?: list<string>}>  $pieces  as they are kept
     * @param  list<array{piece: string, person: string, starts: string}>  $set
     * @param  list<string>  $letGo
     * @return list<array{planter: int, jobs: list<string>, person: string, starts: string, minutes: int, by_hand: bool, with?: list<string>}>
     */
    private static function changed(array $pieces, WorkPlan $now, array $set, array $letGo): array
    {
        $gone = [];
        foreach ([...array_column($set, 'piece'), ...$letGo] as $key) {
            $of = $now->pieces[$key] ?? throw Refused::because('set', 'plan.no_piece');
            foreach (KeptPlaces::jobs($of) as $job) {
                $gone["{$of->planter->id} {$job}"] = true;
            }
        }
        $left = array_values(array_filter($pieces, static fn (array $piece): bool => array_filter($piece['jobs'], static fn (string $job): bool => isset($gone["{$piece['planter']} {$job}"])) === []));
        foreach ($set as $one) {
            $of = $now->pieces[$one['piece']];
            $left[] = ['planter' => $of->planter->id, 'jobs' => KeptPlaces::jobs($of), 'person' => self::person($now, $one['person']), 'starts' => self::starts($now, $one), 'minutes' => $of->piece->minutes, 'by_hand' => true];
        }

        return $left;
    }

    private static function person(WorkPlan $now, string $name): string
    {
        return in_array($name, $now->people, true) && $name !== '' ? $name : throw Refused::because('set', 'plan.no_person', ['name' => $name]);
    }

    /** @param  array{piece: string, person: string, starts: string}  $one */
    private static function starts(WorkPlan $now, array $one): string
    {
        try {
            $day = preg_match('/^\d{4}-\d\d-\d\dT([01]\d|2[0-3]):[0-5]\d$/D', $one['starts']) === 1 ? Day::of(substr($one['starts'], 0, 10)) : null;
        } catch (UnreadableTime) {
            $day = null;
        }
        if ($day === null || $day->isBefore($now->first) || $now->first->daysUntil($day) > 730) {
            throw Refused::because('set', 'plan.starts');
        }

        return $one['starts'];
    }

    /** What is set has to go by itself: within somebody's hours, and nothing beside it. */
    private static function held(WorkPlan $now, KeptPlan $kept): void
    {
        $byHand = new KeptPlan(['pieces' => array_values(array_filter($kept->pieces, static fn (array $piece): bool => $piece['by_hand'])), 'planting' => []]);
        // Who helps is found when the plan is made.
        $placed = array_map(static fn (array $place): array => [[$place[0][0]], $place[1]], (new KeptPlaces($byHand, $now->people, $now->first))->of($now->pieces));
        $tasks = array_values(array_map(static fn (PlannedWork $of): Task => $of->piece->task((string) $of->planter->id, 0, null, [], [0, 0], 1), array_intersect_key($now->pieces, $placed)));
        foreach ($tasks === [] ? [] : Kept::breaches($tasks, $now->hours, $placed, 0) as $key => $breach) {
            if (in_array($breach, [Breach::Hours, Breach::Person, Breach::Row], true)) {
                throw Refused::because('set', "plan.set_{$breach->value}", ['piece' => WorkWords::piece($now->pieces[$key])]);
            }
        }
    }

    /** @return list<array{planter: int, jobs: list<string>, person: string, starts: string, minutes: int, by_hand: bool, with?: list<string>}> */
    private static function pieces(WorkPlan $plan): array
    {
        return array_values(array_map(static function (Placed $placed) use ($plan): array {
            $of = $plan->pieces[$placed->task];

            return ['planter' => $of->planter->id, 'jobs' => KeptPlaces::jobs($of), 'person' => $plan->people[$placed->person], 'with' => array_map(static fn (int $person): string => $plan->people[$person], $placed->with), 'starts' => $plan->clock($placed->start), 'minutes' => $of->piece->minutes, 'by_hand' => isset($plan->byHand[$placed->task])];
        }, $plan->schedule->placed ?? []));
    }
}
