<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** How far a row or a part has run, and how far that counts for wear. */
final readonly class RowUse
{
    /**
     * @param  float  $metres  furrow distance
     * @param  float  $effective  the same, each metre times the severity of its ground
     */
    public function __construct(
        public float $metres = 0.0,
        public float $effective = 0.0,
    ) {
    }

    public function plus(self $other): self
    {
        return new self($this->metres + $other->metres, $this->effective + $other->effective);
    }

    public function minus(self $other): self
    {
        return new self($this->metres - $other->metres, $this->effective - $other->effective);
    }
}
