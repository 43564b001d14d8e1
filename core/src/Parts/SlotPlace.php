<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\Side;

/** One slot of one row. */
final readonly class SlotPlace
{
    public function __construct(
        /** 1..N from the left as seen from behind. */
        public int $row,
        public Slot $slot,
        public Side $side,
    ) {
    }

    /** The place in one word, as `6:opener_blade:left`. */
    public function key(): string
    {
        return "{$this->row}:{$this->slot->value}:{$this->side->value}";
    }
}
