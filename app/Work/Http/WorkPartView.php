<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Models\Parts\PartType;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Parts\Stock\Arrival;
use Ustrel\Core\Spec\Side;

final readonly class WorkPartView extends Schema
{
    public function __construct(
        public Slot $slot,
        public Side $side,
        /** Null where nobody has said what goes in */
        public ?int $part_type_id,
        public ?string $name,
        public bool $here,
        public bool $ordered,
        /** When it comes, or would come if it were ordered today; null where it is here or nobody knows */
        public ?Day $on,
    ) {
    }

    public static function of(SlotPlace $place, ?PartType $type, Arrival $arrival): self
    {
        return new self(
            slot: $place->slot, side: $place->side, part_type_id: $type?->id, name: $type?->name,
            here: $arrival->isHere, ordered: $arrival->isOrdered, on: $arrival->on,
        );
    }
}
