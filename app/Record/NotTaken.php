<?php

declare(strict_types=1);

namespace App\Record;

use RuntimeException;

/** A batch that is to be taken whole was not: nothing of it is kept. */
final class NotTaken extends RuntimeException
{
    /**
     * @param  list<Receipt>  $receipts  of all its items
     * @param  string  $items  what the list of them is called, where there are several
     */
    public function __construct(
        public readonly array $receipts,
        public readonly string $items = '',
    ) {
        parent::__construct('Not all of it can be taken');
    }

    /** @return list<Receipt> those that stood in the way */
    public function inTheWay(): array
    {
        return array_values(array_filter($this->receipts, static fn (Receipt $receipt): bool => ! $receipt->outcome->isTaken()));
    }

    /** Whether all that stood in the way is an id that is taken. */
    public function isConflict(): bool
    {
        return array_filter($this->inTheWay(), static fn (Receipt $receipt): bool => $receipt->outcome !== Outcome::Conflict) === [];
    }
}
