<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Measure\Length;

/** A range of values that would be surprising at one place: all that lie below one figure or above another. */
final readonly class Doubt
{
    public function __construct(
        public DoubtCode $code,
        /** What the surprise is measured by: the new size, the last reading, the median of the rows. */
        public Length $reference,
        public ?Length $below = null,
        public ?Length $above = null,
    ) {
    }

    public function concerns(Length $value): bool
    {
        return ($this->below !== null && $value->isLessThan($this->below))
            || ($this->above !== null && $value->isGreaterThan($this->above));
    }
}
