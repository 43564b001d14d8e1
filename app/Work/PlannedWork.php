<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\PartType;
use App\Models\Planter;
use Ustrel\Core\Parts\Arrival;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Step;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Piece;

/** A piece of work on a planter, with the parts that go in. */
final readonly class PlannedWork
{
    /**
     * @param  list<array{Step, Side}>  $steps  what comes off for it, in that order
     * @param  array<string, Proposal>  $asked  what was decided to be adjusted, cleaned or looked at, by key of the place
     * @param  list<array{SlotPlace, PartType|null, Arrival}>  $parts  null where nobody has said what goes in
     */
    public function __construct(
        public Planter $planter,
        public Piece $piece,
        public array $steps,
        public array $asked,
        public array $parts,
    ) {
    }

    /** Names it within the plan of a workshop. */
    public function key(): string
    {
        return "{$this->planter->id} {$this->piece->key}";
    }

    /** Nobody knows when its parts come. */
    public function isUndated(): bool
    {
        foreach ($this->parts as [, , $arrival]) {
            if (! $arrival->isKnown()) {
                return true;
            }
        }

        return false;
    }
}
