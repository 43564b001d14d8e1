<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\RuleStep;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Parts\PartFitting;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\TakenReading;
use Ustrel\Core\Wear\Acres\Stretch;

/**
 * What is on record of the sizes that wear on one planter: readings, what was fitted meanwhile, where shims were moved.
 * Says what counts as read of which part, and since when a contact is set as it is.
 */
final class History
{
    /** @var array<string, list<Installed>> by slot place, oldest first */
    private array $inSlot = [];

    /** @var array<string, non-empty-list<Installed>> by part, oldest first */
    private array $ofPart = [];

    /** @var array<int, array<int, Moment>> by row, when the contact was set anew: other blades, or shims moved; by milliseconds, in order */
    private array $contactSets = [];

    /** @var array<string, float> the finest step that a check was read to in a walk, millimetres */
    private array $steps = [];

    /** @var array<string, list<Sighting>> by place key, oldest first */
    private array $sightings = [];

    /**
     * @param  int  $rows  of the planter
     * @param  list<Installed>  $installed  oldest first
     * @param  list<ShimsMoved>  $moves
     * @param  list<TakenReading>  $readings  oldest first, then by id
     */
    private function __construct(
        private readonly int $rows,
        private readonly array $installed,
        private readonly array $moves,
        private readonly array $readings,
    ) {
        foreach ($installed as $part) {
            $fitting = $part->fitting;
            $this->inSlot[$fitting->place->key()][] = $part;
            $this->ofPart[$fitting->part][] = $part;
            if ($fitting->place->slot->is('opener_blade')) {
                $this->setContact($fitting->place->row, $fitting->from);
            }
        }
        foreach ($moves as $move) {
            $this->setContact($move->row, $move->at);
        }
        foreach ($this->contactSets as &$ofRow) {
            ksort($ofRow);
        }
        $this->hold();
    }

    /**
     * @param  int  $rows  of the planter
     * @param  list<Installed>  $installed  in any order
     * @param  list<ShimsMoved>  $moves  in any order
     * @param  list<TakenReading>  $readings  in any order
     */
    public static function of(int $rows, array $installed, array $moves, array $readings): self
    {
        usort($installed, static fn (Installed $a, Installed $b): int => [$a->fitting->from->milliseconds, $a->fitting->id] <=> [$b->fitting->from->milliseconds, $b->fitting->id]);
        usort($readings, static fn (TakenReading $a, TakenReading $b): int => [$a->at->milliseconds, $a->id] <=> [$b->at->milliseconds, $b->id]);

        return new self($rows, $installed, $moves, $readings);
    }

    /**
     * What a walk looks back at: what had been read when it began, on walks before it, of the parts that were on the planter
     * until the next one began.
     *
     * @param  Moment|null  $until  null for the newest walk
     */
    public function before(Moment $began, ?Moment $until): self
    {
        $until ??= Moment::endOfTime();
        $installed = array_filter($this->installed, static fn (Installed $part): bool => $part->fitting->from->isBefore($until));

        return new self(
            $this->rows,
            array_values(array_map(static fn (Installed $part): Installed => $part->before($until), $installed)),
            array_values(array_filter($this->moves, static fn (ShimsMoved $move): bool => $move->at->isBefore($until))),
            array_values(array_filter($this->readings, static fn (TakenReading $reading): bool => $reading->walkBegan->isBefore($began) && $reading->at->isBefore($began))),
        );
    }

    /** @return array<string, Trace> one for each row and side of a check, by place key */
    public function traces(Check $check): array
    {
        $traces = [];
        foreach ($check->rows ?? range(1, $this->rows) as $row) {
            foreach ($check->sides as $side) {
                $place = new Place($row, $check->key, $side);
                $traces[$place->key()] = $this->trace($place);
            }
        }

        return $traces;
    }

    /**
     * What there was before: parts that were taken out, contacts before they were set anew. Only what was read of.
     *
     * @return list<Trace>
     */
    public function former(Check $check): array
    {
        $former = [];
        foreach ($check->rows ?? range(1, $this->rows) as $row) {
            foreach ($check->sides as $side) {
                array_push($former, ...$this->formerAt(new Place($row, $check->key, $side)));
            }
        }

        return array_values(array_filter($former, static fn (Trace $trace): bool => $trace->sightings !== []));
    }

    /** @return list<Trace> */
    private function formerAt(Place $place): array
    {
        $slot = Slot::of($place->check);
        $starts = $place->check->is('blade_contact_length')
            ? array_values($this->contactSets[$place->row] ?? [])
            : array_map(static fn (Installed $part): Moment => $part->fitting->from, $this->inSlotOf($place));
        if ($starts === []) {
            return [];
        }
        // What was there before anything was on record, and each contact up to the next.
        $ends = $slot === null ? $starts : [$starts[0]];
        $former = [];
        $from = Moment::ever();
        foreach ($ends as $end) {
            $stretch = new Stretch($place->row, $from, $end);
            $former[] = new Trace("{$place->key()} {$end->milliseconds}", [$stretch], null, 0.0, $this->within($stretch, $place));
            $from = $end;
        }
        foreach ($this->inSlotOf($place) as $part) {
            // A part that has been moved is told once, where it was last.
            $spans = $this->ofPart[$part->fitting->part];
            if ($slot !== null && ! $part->fitting->isOpen() && $spans[count($spans) - 1] === $part) {
                $former[] = $this->traceOf($place, $slot, $part->fitting->part, $part->fitting->id);
            }
        }

        return $former;
    }

    public function trace(Place $place): Trace
    {
        $slot = Slot::of($place->check);
        $fitting = $this->fitting($place);

        return $slot === null || $fitting === null
            ? $this->since($this->emptySince($place), $place)
            : $this->traceOf($place, $slot, $fitting->part, $place->key());
    }

    private function traceOf(Place $place, Slot $slot, string $part, string $key): Trace
    {
        $spans = $this->ofPart[$part];
        $sightings = [];
        foreach ($spans as $span) {
            $at = $span->fitting->place;
            array_push($sightings, ...$this->within($span->fitting->stretch(), new Place($at->row, $place->check, $at->side)));
        }
        $stretches = array_map(static fn (Installed $span): Stretch => $span->fitting->stretch(), $spans);

        // Of a slot's checks only the first reads the size that the part was fitted with.
        return new Trace($key, $stretches, $slot->checks()[0] === $place->check ? $spans[0]->size : null, $spans[0]->ranBefore, $sightings);
    }

    /** The fitting that a place's size belongs to now; null where none is on record, or the place belongs to no slot. */
    public function fitting(Place $place): ?PartFitting
    {
        $inSlot = $this->inSlotOf($place);
        $last = $inSlot === [] ? null : $inSlot[count($inSlot) - 1]->fitting;

        return $last?->isOpen() === true ? $last : null;
    }

    /** Whether another blade was fitted on a row, or one taken out, from one moment to another. */
    public function bladesChanged(int $row, Moment $from, Moment $to): bool
    {
        foreach ($this->installed as $part) {
            $fitting = $part->fitting;
            foreach ($fitting->place->row === $row && $fitting->place->slot->is('opener_blade') ? [$fitting->from, $fitting->until] : [] as $at) {
                if ($at !== null && $at->isAfter($from) && $at->isBefore($to)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Sighting> all that was read at a place, of whatever part, oldest first */
    public function sightings(Place $place): array
    {
        return $this->sightings[$place->key()] ?? [];
    }

    /** @return list<Sighting> what was read at a place of parts that are gone, or before it was set as it is */
    public function gone(Place $place): array
    {
        $changes = $this->changes($place);
        $since = $changes === [] ? Moment::ever() : $changes[count($changes) - 1]->from;

        return array_values(array_filter($this->sightings($place), static fn (Sighting $sighting): bool => $sighting->at->isBefore($since)));
    }

    /** @return list<Stretch> the spans that parts have been at a place; of a contact, since it was last set */
    public function changes(Place $place): array
    {
        if ($place->check->is('blade_contact_length')) {
            $last = $this->contactLastSet($place->row);

            return $last === null ? [] : [new Stretch($place->row, $last)];
        }

        return array_map(static fn (Installed $part): Stretch => $part->fitting->stretch(), $this->inSlotOf($place));
    }

    private function setContact(int $row, Moment $at): void
    {
        $this->contactSets[$row][$at->milliseconds] = $at;
    }

    private function contactLastSet(int $row): ?Moment
    {
        $sets = $this->contactSets[$row] ?? [];

        return $sets === [] ? null : $sets[array_key_last($sets)];
    }

    /** Since when nothing has been on record as fitted there; of a contact, since when it is set as it is. */
    private function emptySince(Place $place): Moment
    {
        if ($place->check->is('blade_contact_length')) {
            return $this->contactLastSet($place->row) ?? Moment::ever();
        }
        $inSlot = $this->inSlotOf($place);

        return $inSlot === [] ? Moment::ever() : $inSlot[count($inSlot) - 1]->fitting->until ?? Moment::ever();
    }

    private function since(Moment $from, Place $place): Trace
    {
        $stretch = new Stretch($place->row, $from);

        return new Trace($place->key(), [$stretch], null, 0.0, $this->within($stretch, $place));
    }

    /** @return list<Sighting> */
    private function within(Stretch $stretch, Place $place): array
    {
        return array_values(array_filter($this->sightings($place), static fn (Sighting $sighting): bool => $stretch->holds($sighting->at)));
    }

    /** @return list<Installed> */
    private function inSlotOf(Place $place): array
    {
        $slot = Slot::of($place->check);

        return $slot === null ? [] : $this->inSlot[(new SlotPlace($place->row, $slot, $place->side))->key()] ?? [];
    }

    /** The readings that hold: of several at a place in one walk the last, unless the part was changed or set anew between. */
    private function hold(): void
    {
        $held = [];
        foreach ($this->readings as $reading) {
            $step = $reading->value === null ? null : RuleStep::of($reading->value);
            if ($step !== null) {
                $of = "{$reading->walk} {$reading->place->check->value}";
                // 14 1/2 among sixteenths was read to a sixteenth, too.
                $this->steps[$of] = min($step, $this->steps[$of] ?? $step);
            }
            $held[$reading->place->key()]["{$reading->walk} {$this->changesBefore($reading)}"] = $reading;
        }
        foreach ($held as $key => $ofPlace) {
            foreach ($ofPlace as $reading) {
                if ($reading->value !== null) {
                    $this->sightings[$key][] = new Sighting($reading->id, $reading->at, $reading->value, $this->steps["{$reading->walk} {$reading->place->check->value}"] ?? null);
                }
            }
        }
    }

    /** How often the place had been given another part, or set anew, by the time of a reading. */
    private function changesBefore(TakenReading $reading): int
    {
        $done = 0;
        foreach ($this->changes($reading->place) as $change) {
            $done += $change->from->isAfter($reading->at) ? 0 : 1;
        }

        return $done;
    }
}
