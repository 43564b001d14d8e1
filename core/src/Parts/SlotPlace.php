<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

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

    /** @param  string  $key  as key() gives it */
    public static function fromKey(string $key): self
    {
        [$row, $slot, $side] = explode(':', $key);

        return new self((int) $row, Slot::from($slot), Side::from($side));
    }

    /** Where the size of the part that is in it is read. */
    public function reading(): Place
    {
        return new Place($this->row, $this->slot->checks()[0], $this->side);
    }

    /** @return list<Place> whose earlier readings say nothing any more once a part is in: its own side's, and the contact of the row */
    public function renews(): array
    {
        return array_map(fn (CheckKey $check): Place => new Place($this->row, $check, in_array($check, $this->slot->checks(), true) ? $this->side : Side::Centre), $this->slot->renews());
    }

    /** The place in one word, as `6:opener_blade:left`. */
    public function key(): string
    {
        return "{$this->row}:{$this->slot->value}:{$this->side->value}";
    }
}
