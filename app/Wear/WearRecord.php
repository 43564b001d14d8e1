<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\Walk;
use App\Parts\LedgerQuery;
use App\Record\Instant;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Wear\Sighting;
use Ustrel\Core\Wear\Stretch;
use Ustrel\Core\Wear\Trace;

/** What is on record of the sizes that wear on one planter: readings, what was fitted meanwhile, where shims were moved. */
final class WearRecord
{
    /** Before anything that could be on record. */
    public const EVER = '0000';

    /** @var array<string, list<Sighting>> by row:check:side, oldest first */
    private array $sightings = [];

    /** @var array<string, list<stdClass>> fittings by row:slot:side, oldest first */
    private array $inSlot = [];

    /** @var array<string, list<stdClass>> fittings by part, oldest first */
    private array $ofPart = [];

    /** @var array<int, string> by row, when the contact was last set anew: other blades, or shims moved */
    private array $contactSet = [];

    private function __construct(private readonly Planter $planter)
    {
    }

    /**
     * @param  list<string>  $checks  keys of those that are asked about
     * @param  Walk|null  $before  only what was read before this walk, on the parts that were there until the next; else all there is
     */
    public static function of(Planter $planter, array $checks, ?Walk $before = null): self
    {
        $record = new self($planter);
        $until = $before?->nextStart();
        foreach (self::fittings($planter, $until) as $fitting) {
            $record->inSlot["{$fitting->row_number}:{$fitting->slot}:{$fitting->side}"][] = $fitting;
            $record->ofPart[$fitting->part_id][] = $fitting;
            if ($fitting->slot === Slot::OpenerBlade->value) {
                $record->contactSet[$fitting->row_number] = max($record->contactSet[$fitting->row_number] ?? '', $fitting->from);
            }
        }
        foreach (LedgerQuery::shimMoves($planter, $until) as $move) {
            $record->contactSet[$move->row_number] = max($record->contactSet[$move->row_number] ?? '', $move->at);
        }
        $record->read($checks, $before);

        return $record;
    }

    /** @return array<string, Trace> one for each row and side of a check, by place key */
    public function traces(Check $check): array
    {
        $traces = [];
        for ($row = 1; $row <= $this->planter->row_count; $row++) {
            foreach ($check->sides as $side) {
                $trace = $this->trace($check, $row, $side);
                $traces[$trace->key] = $trace;
            }
        }

        return $traces;
    }

    /** The fitting that a place's size belongs to now; null where none is on record. */
    public function fitting(CheckKey $check, int $row, Side $side): ?stdClass
    {
        $slot = Slot::of($check);
        $inSlot = $slot === null ? [] : $this->inSlot["{$row}:{$slot->value}:{$side->value}"] ?? [];
        $last = end($inSlot);

        return $last === false || $last->until !== null ? null : $last;
    }

    /** @return list<Sighting> all that was read at a place, of whatever part, oldest first */
    public function sightings(CheckKey $check, int $row, Side $side): array
    {
        return $this->sightings["{$row}:{$check->value}:{$side->value}"] ?? [];
    }

    /** @return list<Sighting> what was read at a place of parts that are gone, or before it was set as it is */
    public function before(CheckKey $check, int $row, Side $side): array
    {
        $changes = $this->changes($check, $row, $side);
        $since = $changes === [] ? self::EVER : $changes[count($changes) - 1]->from;

        return array_values(array_filter($this->sightings($check, $row, $side), static fn (Sighting $sighting): bool => $sighting->at < $since));
    }

    /** @return list<Stretch> the spans that parts have been at a place; of a contact, since it was last set */
    public function changes(CheckKey $check, int $row, Side $side): array
    {
        if ($check === CheckKey::BladeContactLength) {
            return isset($this->contactSet[$row]) ? [new Stretch($row, $this->contactSet[$row])] : [];
        }
        $slot = Slot::of($check);
        $spans = $slot === null ? [] : $this->inSlot["{$row}:{$slot->value}:{$side->value}"] ?? [];

        return array_map(static fn (stdClass $span): Stretch => new Stretch($row, $span->from, $span->until), $spans);
    }

    public function trace(Check $check, int $row, Side $side): Trace
    {
        $key = "{$row}:{$check->key->value}:{$side->value}";
        if ($check->key === CheckKey::BladeContactLength) {
            return $this->since($this->contactSet[$row] ?? self::EVER, $row, $key);
        }
        $slot = Slot::of($check->key);
        $fitting = $this->fitting($check->key, $row, $side);
        if ($slot === null || $fitting === null) {
            $inSlot = $slot === null ? [] : $this->inSlot["{$row}:{$slot->value}:{$side->value}"] ?? [];
            $last = end($inSlot);

            return $this->since($last === false ? self::EVER : (string) $last->until, $row, $key);
        }

        $spans = $this->ofPart[$fitting->part_id];
        $stretches = $sightings = [];
        foreach ($spans as $span) {
            $stretch = new Stretch($span->row_number, $span->from, $span->until);
            $stretches[] = $stretch;
            $sightings = [...$sightings, ...$this->within($stretch, "{$span->row_number}:{$check->key->value}:{$span->side}")];
        }
        // Of a slot's checks only the first reads the size that the part was fitted with.
        $start = $slot->checks()[0] === $check->key ? $spans[0]->size : null;

        return new Trace($key, $stretches, $start === null ? null : (float) $start, (float) $spans[0]->ran_before_m, $sightings);
    }

    private function since(string $from, int $row, string $key): Trace
    {
        $stretch = new Stretch($row, $from);

        return new Trace($key, [$stretch], null, 0.0, $this->within($stretch, $key));
    }

    /** @return list<Sighting> */
    private function within(Stretch $stretch, string $place): array
    {
        return array_values(array_filter($this->sightings[$place] ?? [], static fn (Sighting $sighting): bool => $stretch->holds($sighting->at)));
    }

    /**
     * The readings that hold: of several at a place in one walk the last, unless the part was changed or set anew between.
     *
     * @param  list<string>  $checks
     */
    private function read(array $checks, ?Walk $before): void
    {
        $readings = DB::table('readings')
            ->where('readings.planter_id', $this->planter->id)
            ->whereIn('readings.check_key', $checks)
            ->when($before !== null, static fn (Builder $readings): Builder => $readings
                ->join('walks', 'walks.id', '=', 'readings.walk_id')
                ->where('walks.started_at', '<', $before->started_at))
            ->orderBy('readings.taken_at')
            ->orderBy('readings.id')
            ->selectRaw('readings.id, readings.walk_id, readings.row_number, readings.check_key, readings.side, readings.result, readings.value, '.Instant::sql('readings.taken_at').' AS at')
            ->get();

        $held = [];
        foreach ($readings as $reading) {
            $place = "{$reading->row_number}:{$reading->check_key}:{$reading->side}";
            if ($reading->result === Result::Recorded->value || $reading->result === Result::Withdrawn->value) {
                $held[$place]["{$reading->walk_id} {$this->changesBefore($reading)}"] = $reading;
            }
        }
        foreach ($held as $place => $ofPlace) {
            foreach ($ofPlace as $reading) {
                if ($reading->value !== null) {
                    $this->sightings[$place][] = new Sighting($reading->id, $reading->at, (float) $reading->value);
                }
            }
        }
    }

    /** How often the place had been given another part, or set anew, by the time of a reading. */
    private function changesBefore(stdClass $reading): int
    {
        if ($reading->check_key === CheckKey::BladeContactLength->value) {
            return ($this->contactSet[$reading->row_number] ?? '~') <= $reading->at ? 1 : 0;
        }
        $slot = Slot::of(CheckKey::from($reading->check_key));
        $inSlot = $slot === null ? [] : $this->inSlot["{$reading->row_number}:{$slot->value}:{$reading->side}"] ?? [];

        return count(array_filter($inSlot, static fn (stdClass $fitting): bool => $fitting->from <= $reading->at));
    }

    /** @return Collection<int, stdClass> oldest first */
    private static function fittings(Planter $planter, ?CarbonImmutable $until): Collection
    {
        return DB::table('fittings')
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->where('fittings.planter_id', $planter->id)
            ->when($until !== null, static fn (Builder $fittings): Builder => $fittings->where('fittings.fitted_at', '<', $until))
            ->orderBy('fittings.fitted_at')
            ->orderBy('fittings.id')
            ->selectRaw(
                'fittings.id, fittings.row_number, fittings.slot, fittings.side, fittings.part_id, ledger_events.size, ledger_events.ran_before_m, '
                .Instant::sql('fittings.fitted_at').' AS "from", CASE WHEN fittings.removed_at < ? THEN '.Instant::sql('fittings.removed_at').' END AS until',
                [$until ?? '9999-12-31'],
            )
            ->get();
    }
}
