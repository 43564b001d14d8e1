<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

/** What a parts counter says of one part. */
final readonly class CounterLine
{
    public function __construct(
        public string $number,
        /** False: the counter has no such part, and says nothing more of it. */
        public bool $isKnown,
        /** For one, to the cent; null where it does not say. */
        public ?float $price,
        /** Null where it does not say. */
        public ?int $inStock,
        /** Null where it does not say. */
        public ?int $leadDays,
    ) {
    }
}
