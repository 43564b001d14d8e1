<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

/** What a supplier asks for a part and how long it takes. */
final readonly class Offer
{
    public function __construct(
        public int $supplier,
        /** For one; null where nobody knows. */
        public ?float $price,
        /** Null where nobody knows. */
        public ?int $leadDays,
        /** At the supplier's, when it was asked last; null where it never said. */
        public ?int $inStock = null,
    ) {
    }

    /**
     * Whoever brings it in time at the lowest price; where nobody does, whoever brings it first. An unknown price is not the
     * lowest, and an unknown time is not in time.
     *
     * @param  list<self>  $offers
     * @param  int|null  $daysLeft  until it has to be there; null where nobody knows, and all are in time
     */
    public static function best(array $offers, ?int $daysLeft): ?self
    {
        $inTime = array_values(array_filter($offers, static fn (self $offer): bool => $daysLeft === null || ($offer->leadDays !== null && $offer->leadDays <= $daysLeft)));
        usort($inTime, static fn (self $a, self $b): int => [$a->price ?? INF, $a->leadDays ?? INF, $a->supplier] <=> [$b->price ?? INF, $b->leadDays ?? INF, $b->supplier]);
        usort($offers, static fn (self $a, self $b): int => [$a->leadDays ?? INF, $a->price ?? INF, $a->supplier] <=> [$b->leadDays ?? INF, $b->price ?? INF, $b->supplier]);

        return $inTime[0] ?? $offers[0] ?? null;
    }
}
