<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\Quantity;

/** One reason for a verdict, with the figure that the reading was held against. */
final readonly class Reason
{
    public function __construct(
        public ReasonCode|Chip $code,
        public ?Quantity $reference = null,
    ) {
    }

    public function equals(self $other): bool
    {
        return $this->code === $other->code
            && $this->reference?->steps() === $other->reference?->steps();
    }
}
