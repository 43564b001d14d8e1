<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Measure\Moment;

/** A part over the span that it was in one slot, with what was known of it when it went in. */
final readonly class Installed
{
    /**
     * @param  float|null  $size  millimetres; null where nobody knows, or it has none that is measured
     * @param  float  $ranBefore  furrow metres that it had run before it was first on this planter
     * @param  bool  $used  it came in used
     */
    public function __construct(
        public PartFitting $fitting,
        public ?float $size = null,
        public float $ranBefore = 0.0,
        public bool $used = false,
    ) {
    }

    /** The same as it was known before a moment: a part that came out later was still there. */
    public function before(Moment $until): self
    {
        $out = $this->fitting->until;

        return $out === null || $out->isBefore($until) ? $this : new self($this->fitting->stillThere(), $this->size, $this->ranBefore, $this->used);
    }
}
