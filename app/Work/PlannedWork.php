<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\PartType;
use App\Models\Planter;
use Ustrel\Core\Parts\Arrival;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Work\Piece;

/** A piece of work on a planter, with the parts that go in. */
final readonly class PlannedWork
{
    /** @param  list<array{SlotPlace, PartType|null, Arrival}>  $parts  null where nobody has said what goes in */
    public function __construct(
        public Planter $planter,
        public Piece $piece,
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
