<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;

/** One reason for a verdict, with the figure that the reading was held against. */
final readonly class Reason
{
    public function __construct(
        public ReasonCode $code,
        public ?Length $reference = null,
    ) {
    }

    public function equals(self $other): bool
    {
        return $this->code === $other->code
            && $this->reference?->nanometres === $other->reference?->nanometres;
    }
}
