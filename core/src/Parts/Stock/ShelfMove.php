<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

use Ustrel\Core\Measure\Moment;

/** One change of what is on the shelf. */
final readonly class ShelfMove
{
    /**
     * @param  string  $id  of the event; of two at one moment the lesser comes first
     * @param  int  $quantity  0 or more
     */
    public function __construct(
        public string $id,
        public StockMoveKind $kind,
        public int $quantity,
        public Moment $at,
    ) {
    }
}
