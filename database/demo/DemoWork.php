<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Plan\DecideQuery;
use App\Plan\DecisionEvents;
use App\Plan\Found;
use App\Record\TakeWhole;
use App\Walk\TakeIntoWalk;
use App\Work\KeepPlan;
use App\Work\OpenWork;
use App\Work\OwnJobs;
use App\Work\PlannedWork;
use App\Work\RecordWork;
use Carbon\CarbonImmutable;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;

/** The work on a planter that is walked and decided about: a plan that is kept, half of it done. */
final readonly class DemoWork
{
    public function __construct(
        private DecideQuery $decide,
        private TakeIntoWalk $take,
        private KeepPlan $keep,
        private OpenWork $open,
        private RecordWork $record,
        private TakeWhole $whole,
    ) {
    }

    /** The proposals of the first rows are accepted, so that there is work to plan; the rest waits for a decision. */
    public function decideFirstRows(Planter $planter, User $technician, int $rows): void
    {
        $this->decide($planter, $technician, CarbonImmutable::now()->toIso8601ZuluString('millisecond'), $rows);
    }

    public function load(Planter $planter, User $technician): void
    {
        $at = CarbonImmutable::now()->toIso8601ZuluString('millisecond');
        $this->decide($planter, $technician, $at, $planter->row_count);
        ($this->whole)($planter, $technician, static fn (Planter $of): OwnJobs => new OwnJobs($of), [['id' => DemoScenario::uuid('own work'), 'row' => 12, 'title' => 'Weld the hopper bracket', 'minutes' => 45, 'blocks' => true, 'happened_at' => $at]]);
        ($this->keep)($technician, $planter, 0, true, [], []);
        $pieces = array_values(array_filter($this->open->on($planter, [], $planter->workshop->today()), static fn (PlannedWork $of): bool => $of->piece->jobs !== []));
        $half = intdiv(count($pieces), 2);
        foreach (array_slice($pieces, 0, $half) as $turn => $of) {
            $this->finish($planter, $technician, $of, $turn, $at);
        }
        foreach ($pieces === [] ? [] : array_keys($pieces[$half]->card->lines) as $turn => $line) {
            if ($turn < 2) {
                $this->say($planter, $technician, ['id' => DemoScenario::uuid("tick {$turn}"), 'kind' => 'ticked', 'targets' => [$line], 'happened_at' => $at]);
            }
        }
        $last = $pieces[count($pieces) - 1] ?? null;
        if ($last !== null) {
            $this->say($planter, $technician, ['id' => DemoScenario::uuid('could not'), 'kind' => 'could_not', 'targets' => [$last->piece->jobs[0]->key()], 'reason' => 'seized', 'words' => 'the lower pin, heat did not do it', 'happened_at' => $at]);
        }
    }

    private function decide(Planter $planter, User $technician, string $at, int $rows): void
    {
        $planter->load(['specSheet', 'workshop']);
        $walk = $planter->walks()->latest('started_at')->firstOrFail();
        $decisions = array_map(static fn (Found $found): array => [
            'id' => DemoScenario::uuid("decided {$planter->id} {$found->place->key()}"), 'row' => $found->place->row, 'check' => $found->place->check->value, 'side' => $found->place->side->value,
            'action' => $found->proposal->action->value, 'happened_at' => $at,
        ], array_values(array_filter($this->decide->of($planter)->found, static fn (Found $found): bool => $found->place->row <= $rows)));
        ($this->take)($walk, $technician, fn (Walk $of): DecisionEvents => new DecisionEvents($of, $this->decide), $decisions);
    }

    /** With the parts that went in, some faster and some slower than is typical. */
    private function finish(Planter $planter, User $technician, PlannedWork $of, int $turn, string $at): void
    {
        $types = array_column(array_map(static fn (array $part): array => [$part[0]->key(), $part[1]], $of->parts), 1, 0);
        $changes = array_values(array_filter($of->piece->jobs, static fn (Job $job): bool => $job->action === Action::Change));
        $ledger = array_map(static fn (Job $job): array => [
            'id' => DemoScenario::uuid("fitted {$job->key()}"), 'kind' => 'fitted', 'row' => $job->row, 'slot' => $job->what->value, 'side' => $job->side->value,
            'part_type_id' => ($types["{$job->row}:{$job->what->value}:{$job->side->value}"] ?? null)?->id, 'reason' => 'worn', 'happened_at' => $at,
        ], $changes);
        $seized = $turn === 1 ? 15 : 0;
        $event = [
            'id' => DemoScenario::uuid("finished {$of->piece->key}"), 'kind' => 'finished', 'targets' => array_map(static fn (Job $job): string => $job->key(), $of->piece->jobs),
            'minutes' => max(1, (int) round($of->piece->minutes * [1.2, 0.9, 1.5][$turn % 3])) + $seized, 'seized_minutes' => $seized, 'lubricant' => $turn === 1 ? 'penetrating oil' : '', 'ledger' => array_column($ledger, 'id'), 'happened_at' => $at,
        ];
        ($this->record)($planter, $technician, [$event], $ledger);
    }

    /** @param  array<string, mixed>  $event */
    private function say(Planter $planter, User $technician, array $event): void
    {
        ($this->record)($planter, $technician, [$event], []);
    }
}
