<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

use Ustrel\Core\Measure\Day;

/** What is on the shelf of one part type, what is needed of it, and when it has to be ordered. */
final readonly class Stock
{
    private function __construct(
        /** Null where nobody ever counted or received any. Under 0 it is kept: something was not written down. */
        public ?int $onHand,
    ) {
    }

    /**
     * @param  list<ShelfMove>  $moves  in any order
     */
    public static function of(array $moves): self
    {
        usort($moves, static fn (ShelfMove $a, ShelfMove $b): int => [$a->at->milliseconds, $a->id] <=> [$b->at->milliseconds, $b->id]);
        $onHand = null;
        foreach ($moves as $move) {
            $onHand = match ($move->kind) {
                StockMoveKind::Counted => $move->quantity,
                StockMoveKind::Received => ($onHand ?? 0) + $move->quantity,
                // What goes before anybody counted says nothing of what is there.
                StockMoveKind::Used, StockMoveKind::Lost => $onHand === null ? null : $onHand - $move->quantity,
            };
        }

        return new self($onHand);
    }

    /** More went than was there: count it. */
    public function isMiscount(): bool
    {
        return $this->onHand !== null && $this->onHand < 0;
    }

    /**
     * How many to order.
     *
     * @param  int  $needed  for what was decided, 0 or more
     * @param  int|null  $minimum  that is to stay on the shelf; null for none
     */
    public function toOrder(int $needed, ?int $minimum): int
    {
        return max(0, $needed + (int) $minimum - max(0, (int) $this->onHand));
    }

    /**
     * The last day on which to order what is needed by a day.
     *
     * @param  int|null  $leadDays  null where nobody knows
     */
    public static function orderBy(?Day $neededBy, ?int $leadDays): ?Day
    {
        return $neededBy === null || $leadDays === null ? null : $neededBy->plusDays(-$leadDays);
    }
}
