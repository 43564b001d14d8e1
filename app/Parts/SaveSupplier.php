<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Supplier;
use App\Record\Document;

/** Keeps a supplier with its prices, over the revision that was seen. */
final readonly class SaveSupplier
{
    public function __construct(private Document $documents)
    {
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  int|null  $seen  the revision that was changed; null of a new one
     */
    public function __invoke(Supplier $supplier, array $columns, ?int $seen): Supplier
    {
        return $this->documents->keep($supplier, $columns, $seen, 'name', 'supplier.name_taken', static function (Supplier $kept): void {
            if (! CounterAddress::isSame($kept->getOriginal('counter'), $kept->counter)) {
                // What another counter said says nothing of this one.
                $kept->fill(['answers' => [], 'answered_at' => null, 'fault' => null, 'fault_about' => '', 'failed_at' => null]);
            }
        });
    }
}
