<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Measure\Quantity;

/** A range of values that would be surprising at one place: all that lie below one figure or above another. */
final readonly class Doubt
{
    public function __construct(
        public DoubtCode $code,
        /** What the surprise is measured by: the new size, the last reading, the median of the rows. */
        public Quantity $reference,
        /** Steps; values below are surprising. */
        public ?int $below = null,
        /** Steps; values above are surprising. */
        public ?int $above = null,
    ) {
    }

    public function concerns(Quantity $value): bool
    {
        return ($this->below !== null && $value->steps() < $this->below)
            || ($this->above !== null && $value->steps() > $this->above);
    }
}
