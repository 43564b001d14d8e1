<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Supplier;
use App\Models\Workshop;
use App\Record\Change;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Keeps a supplier with its prices, over the revision that was seen. */
final readonly class SaveSupplier
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  int|null  $seen  the revision that was changed; null of a new one
     *
     * @throws ValidationException where the name is taken
     * @throws ConflictHttpException
     */
    public function __invoke(int $workshopId, ?Supplier $supplier, array $columns, ?int $seen): Supplier
    {
        try {
            return $this->change->ofWorkshop($workshopId, static function (Workshop $workshop) use ($supplier, $columns, $seen): Supplier {
                $kept = $supplier === null ? new Supplier(['workshop_id' => $workshop->id]) : Supplier::query()->findOrFail($supplier->id);
                if ($supplier !== null && $kept->revision !== $seen) {
                    throw new ConflictHttpException(__('supplier.changed_meanwhile'));
                }
                $kept->fill($columns + ['revision' => $kept->revision + 1]);
                if (! CounterAddress::isSame($supplier?->counter, $kept->counter)) {
                    // What another counter said says nothing of this one.
                    $kept->fill(['answers' => [], 'answered_at' => null, 'fault' => null, 'fault_about' => '', 'failed_at' => null]);
                }
                $kept->save();

                return $kept;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __('supplier.name_taken', ['name' => $columns['name']])]);
        }
    }
}
