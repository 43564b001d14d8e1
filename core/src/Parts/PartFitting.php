<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Wear\Acres\Stretch;

/** One part in one slot over a span of time. */
final readonly class PartFitting
{
    /**
     * @param  string  $id  of the event that began it
     * @param  Moment|null  $until  null while it is there
     */
    public function __construct(
        public string $id,
        public SlotPlace $place,
        public string $part,
        public Moment $from,
        public ?Moment $until = null,
        public ?RemovalReason $reason = null,
    ) {
    }

    public function isOpen(): bool
    {
        return $this->until === null;
    }

    public function stillThere(): self
    {
        return new self($this->id, $this->place, $this->part, $this->from);
    }

    public function stretch(): Stretch
    {
        return new Stretch($this->place->row, $this->from, $this->until);
    }

    public function ended(Moment $at, RemovalReason $reason): self
    {
        return new self($this->id, $this->place, $this->part, $this->from, $at, $reason);
    }
}
