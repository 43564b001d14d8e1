<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Models\Wear\AcresEntry;
use App\Record\Moments;
use DateTimeZone;
use LogicException;
use stdClass;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\Fitted;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Parts\Ledger;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\PartFitting;
use Ustrel\Core\Parts\PartKind;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Removed;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Season\PlantedAcres;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\TakenReading;
use Ustrel\Core\Wear\Acres\FieldRun;
use Ustrel\Core\Wear\Acres\UseLog;
use Ustrel\Core\Wear\History;
use Ustrel\Core\Wear\PlanterWear;

/**
 * What is on record of one planter as far as wear goes, read when it is first asked for and once: its ledger, its acres,
 * its walks and what they read. Hands core what it reckons with.
 */
final class WearRecord
{
    /** @var list<Installed> */
    private array $installed;

    /** @var list<ShimsMoved> */
    private array $moves;

    /** @var array<string, int|null> part types by fitting */
    private array $types = [];

    /** @var array<string, PartKind> by fitting */
    private array $kinds = [];

    private UseLog $log;

    private PlantedAcres $planted;

    /** @var list<Walk> oldest first */
    private array $walks;

    /** @var array<string, History> by the checks asked about */
    private array $histories = [];

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function __construct(public readonly Planter $planter)
    {
    }

    /**
     * What is and was fitted, played back from the ledger.
     *
     * @return list<Installed>
     *
     * @throws ImpossibleLedger
     */
    public function installed(): array
    {
        $this->ledger();

        return $this->installed;
    }

    /** @return list<ShimsMoved> oldest first */
    public function moves(): array
    {
        $this->ledger();

        return $this->moves;
    }

    /** The part type that was fitted; null where nobody knows. */
    public function typeOf(PartFitting $fitting): ?int
    {
        return $this->types[$fitting->id] ?? null;
    }

    public function kindOf(PartFitting $fitting): PartKind
    {
        return $this->kinds[$fitting->id] ?? new PartKind;
    }

    /** @return list<Walk> oldest first, each with this planter */
    public function walks(): array
    {
        return $this->walks ??= array_values(Walk::query()
            ->where('planter_id', $this->planter->id)
            ->orderBy('started_at')
            ->orderBy('id')
            ->get()
            ->each(fn (Walk $walk): Walk => $walk->setRelation('planter', $this->planter))
            ->all());
    }

    /** When the walk after this one began, up to which this one says how things stand; null for the newest. */
    public function nextBegan(Walk $walk): ?Moment
    {
        foreach ($this->walks() as $next) {
            if ($next->began()->isAfter($walk->began())) {
                return $next->began();
            }
        }

        return null;
    }

    public function log(): UseLog
    {
        $this->acres();

        return $this->log;
    }

    public function planted(): PlantedAcres
    {
        $this->acres();

        return $this->planted;
    }

    /** What a season is to bring: as planned, or else as much as the last season that was logged; null where nothing is known. */
    public function plannedAcres(): ?float
    {
        return $this->planter->planned_acres === null ? $this->planted()->lastBefore($this->planter->season()) : (float) $this->planter->planned_acres;
    }

    /** The plan of the season that is being prepared, with what is logged of it done. */
    public function plan(): ?PlantingProgress
    {
        return $this->planOf($this->plannedAcres(), $this->planter->season(), null);
    }

    /** @param  list<string>  $checks  keys of those that are asked about */
    public function history(array $checks): History
    {
        sort($checks);

        return $this->histories[implode(' ', $checks)] ??= History::of($this->planter->row_count, $this->installed(), $this->moves(), $this->readings($checks));
    }

    /**
     * As things stand: what was planted today counts, too.
     *
     * @param  list<string>  $checks
     */
    public function wear(array $checks): PlanterWear
    {
        return new PlanterWear($this->history($checks), $this->log(), (float) $this->planter->workshop->watch_chance, $this->plan(), Moment::endOfTime(), $this->planter->workshop->measuringSd());
    }

    /**
     * As a walk that is started now would look at it.
     *
     * @param  list<string>  $checks
     */
    public function wearOfNextWalk(array $checks): PlanterWear
    {
        $now = Moments::now();

        return new PlanterWear(
            $this->history($checks)->before($now, null), $this->log(), (float) $this->planter->workshop->watch_chance,
            $this->planOf($this->plannedAcres(), $this->planter->season(), $now), $now, $this->planter->workshop->measuringSd(),
        );
    }

    /**
     * As a walk looked at it: by what was known when it began, and what was fitted until the next.
     *
     * @param  list<string>  $checks
     */
    public function wearOf(Walk $walk, array $checks): PlanterWear
    {
        $began = $walk->began();

        return new PlanterWear(
            $this->history($checks)->before($began, $this->nextBegan($walk)), $this->log(), (float) $walk->watch_chance,
            $this->planOf($walk->planned_acres === null ? null : (float) $walk->planned_acres, $walk->season, $began), $began, array_map(floatval(...), $walk->measuring_sd),
        );
    }

    /** @param  Moment|null  $asOf  what was planted from its day on is still to come; by default all that is logged is done */
    private function planOf(?float $acres, int $season, ?Moment $asOf): ?PlantingProgress
    {
        return $acres === null || $acres <= 0 ? null : new PlantingProgress(
            $acres,
            $this->planted()->in($season, $asOf?->day($this->zone())),
            $this->planter->planting_days,
            $this->planter->spacing(),
            $this->planter->row_count,
            $this->log()->severity($asOf ?? Moment::endOfTime()),
        );
    }

    private function zone(): DateTimeZone
    {
        return $this->planter->workshop->zone();
    }

    /** @throws ImpossibleLedger */
    private function ledger(): void
    {
        if (isset($this->installed)) {
            return;
        }
        $events = LedgerEvent::query()
            ->where('planter_id', $this->planter->id)
            ->leftJoin('part_types', 'part_types.id', '=', 'ledger_events.part_type_id')
            ->orderBy('happened_at')
            ->orderBy('ledger_events.id')
            ->toBase()
            ->selectRaw('ledger_events.id, kind, row_number, slot, side, part_id, part_type_id, size, ran_before_m, used, fitting_id, reason, pairs, contact_before, withdrawn, supersedes, heavy, clearance, '.Moments::sql('happened_at').' AS at')
            ->get()
            ->keyBy('id');
        $corrected = $events->whereNotNull('supersedes')->pluck('id', 'supersedes')->all();
        $played = $moves = [];
        foreach ($events as $event) {
            if ($event->withdrawn || isset($corrected[$event->id])) {
                continue;
            }
            if ($event->kind === LedgerEventKind::ShimsMoved->value) {
                $moves[] = new ShimsMoved($event->id, $event->row_number, $event->pairs, Moment::ofMilliseconds($event->at), $event->contact_before === null ? null : (float) $event->contact_before, $event->side === Side::Centre->value ? null : Side::from($event->side));
            } else {
                $played[] = self::event($event, $corrected);
                $this->types[$event->id] = $event->part_type_id;
                $this->kinds[$event->id] = new PartKind((bool) $event->heavy, (bool) $event->clearance);
            }
        }
        $installed = [];
        foreach (Ledger::play($played) as $fitting) {
            $event = $events[$fitting->id] ?? throw new LogicException("{$fitting->id} is not in the ledger that was played");
            $installed[] = new Installed($fitting, $event->size === null ? null : (float) $event->size, (float) $event->ran_before_m, $event->used);
        }
        $this->installed = $installed;
        $this->moves = $moves;
    }

    /** @param  array<string, string>  $corrected  by id of the event that was corrected, the one that took its place */
    private static function event(stdClass $event, array $corrected): Fitted|Removed
    {
        $fitting = $event->fitting_id;
        while (isset($corrected[$fitting ?? ''])) {
            $fitting = $corrected[$fitting];
        }
        $at = Moment::ofMilliseconds($event->at);
        $reason = RemovalReason::tryFrom($event->reason ?? '') ?? RemovalReason::Other;

        return $event->kind === LedgerEventKind::Removed->value
            ? new Removed($event->id, (string) $fitting, $at, $reason)
            : new Fitted($event->id, new SlotPlace($event->row_number, Slot::from($event->slot), Side::from($event->side)), $event->part_id, $at, $reason);
    }

    private function acres(): void
    {
        if (isset($this->log)) {
            return;
        }
        // A season's fields may be many; core needs their sum for each day and sharing.
        $runs = AcresEntry::current($this->planter->id)->planted()
            ->groupBy('day', 'shares')
            // In one order, so that sums of the same acres come to the same.
            ->orderBy('day')
            ->orderBy('shares')
            ->toBase()
            ->selectRaw('day, shares, sum(acres) AS acres, sum(acres * severity) / sum(acres) AS severity')
            ->get()
            ->map(static fn (stdClass $day): FieldRun => new FieldRun(
                Day::of($day->day), (float) $day->acres, (float) $day->severity, array_map(floatval(...), json_decode($day->shares, true)),
            ))
            ->all();
        $this->log = UseLog::of($runs, $this->planter->spacing(), $this->planter->row_count, $this->zone());
        $this->planted = PlantedAcres::of(array_values($runs), $this->planter->seasons());
    }

    /**
     * @param  list<string>  $checks
     * @return list<TakenReading>
     */
    private function readings(array $checks): array
    {
        $places = [];

        return array_values(Reading::query()
            ->join('walks', 'walks.id', '=', 'readings.walk_id')
            ->where('readings.planter_id', $this->planter->id)
            ->whereIn('readings.check_key', $checks)
            ->whereIn('readings.result', [Result::Recorded->value, Result::Withdrawn->value])
            ->toBase()
            ->selectRaw('readings.id, readings.walk_id, readings.row_number, readings.check_key, readings.side, readings.value, '
                .Moments::sql('readings.taken_at').' AS at, '.Moments::sql('walks.started_at').' AS began')
            ->get()
            ->map(static function (stdClass $reading) use (&$places): TakenReading {
                $place = $places["{$reading->row_number} {$reading->check_key} {$reading->side}"] ??= new Place($reading->row_number, CheckKey::from($reading->check_key), Side::from($reading->side));

                return new TakenReading($reading->id, $reading->walk_id, Moment::ofMilliseconds($reading->began), $place, Moment::ofMilliseconds($reading->at), $reading->value === null ? null : (float) $reading->value);
            })
            ->all());
    }
}
