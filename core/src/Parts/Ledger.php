<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Measure\Moment;

/**
 * What was fitted where and when, played back from what was recorded, in whatever order it came in: events hold by the
 * time they happened, then by id.
 */
final class Ledger
{
    /** @var array<string, PartFitting> by id, in the order in which they began */
    private array $fittings = [];

    /** @var array<string, string> ids of the open fittings, by place */
    private array $inSlot = [];

    /** @var array<string, string> ids of the open fittings, by part */
    private array $ofPart = [];

    private function __construct()
    {
    }

    /**
     * @param  list<Fitted|Removed>  $events  each once, those that were superseded left out
     * @return array<string, PartFitting> by id
     *
     * @throws ImpossibleLedger
     */
    public static function play(array $events): array
    {
        usort($events, static fn (Fitted|Removed $a, Fitted|Removed $b): int => [$a->at->milliseconds, $a instanceof Fitted, $a->id] <=> [$b->at->milliseconds, $b instanceof Fitted, $b->id]);
        $began = [];
        foreach ($events as $event) {
            if ($event instanceof Fitted) {
                $began[$event->id] = $event;
            }
        }
        $ledger = new self;
        foreach ($events as $event) {
            if ($event instanceof Fitted) {
                $ledger->fit($event);
            } else {
                $ledger->remove($event, $began[$event->fitting] ?? null);
            }
        }

        return $ledger->fittings;
    }

    private function fit(Fitted $event): void
    {
        $key = $event->place->key();
        $old = $this->inSlot[$key] ?? null;
        if ($old !== null && $this->fittings[$old]->from->equals($event->at)) {
            throw ImpossibleLedger::at(LedgerFaultCode::Overlap, $event->id, $event->place, $event->at);
        }
        $elsewhere = $this->ofPart[$event->part] ?? null;
        if ($elsewhere !== null && $this->fittings[$elsewhere]->from->equals($event->at)) {
            throw ImpossibleLedger::at(LedgerFaultCode::TwoPlaces, $event->id, $this->fittings[$elsewhere]->place, $event->at);
        }
        if ($elsewhere !== null) {
            $this->end($elsewhere, $event->at, RemovalReason::Moved);
        }
        if ($old !== null && $old !== $elsewhere) {
            $this->end($old, $event->at, $event->oldOne);
        }
        $this->fittings[$event->id] = new PartFitting($event->id, $event->place, $event->part, $event->at);
        $this->inSlot[$key] = $event->id;
        $this->ofPart[$event->part] = $event->id;
    }

    private function remove(Removed $event, ?Fitted $began): void
    {
        if ($began === null) {
            throw ImpossibleLedger::at(LedgerFaultCode::NothingFitted, $event->id);
        }
        if (! $began->at->isBefore($event->at)) {
            throw ImpossibleLedger::at(LedgerFaultCode::RemovedBeforeFitted, $event->id, $began->place, $began->at);
        }
        $until = $this->fittings[$event->fitting]->until;
        if ($until !== null) {
            // Another part went in before this one is said to have come out.
            throw ImpossibleLedger::at(LedgerFaultCode::Overlap, $event->id, $began->place, $until);
        }
        $this->end($event->fitting, $event->at, $event->reason);
    }

    private function end(string $id, Moment $at, RemovalReason $reason): void
    {
        $fitting = $this->fittings[$id];
        $this->fittings[$id] = $fitting->ended($at, $reason);
        unset($this->inSlot[$fitting->place->key()], $this->ofPart[$fitting->part]);
    }
}
