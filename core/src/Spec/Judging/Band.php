<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** One stretch of values with the same judgement: from its own start up to, not including, the next band's. */
final readonly class Band
{
    public function __construct(
        /** Steps, included. */
        public int $from,
        public Judgement $judgement,
    ) {
    }
}
