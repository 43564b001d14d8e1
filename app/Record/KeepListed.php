<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Aim;
use App\Models\Bench\Disc;
use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use Illuminate\Validation\ValidationException;

/** Keeps a lot of seed, a disc, a meter or what counts as good in the shop’s list, over the revision that was seen. */
final readonly class KeepListed
{
    public function __construct(private Document $documents)
    {
    }

    /**
     * @template TKept of SeedLot|Disc|Meter|Aim
     *
     * @param  TKept  $of  a new one of its workshop, or the one that was changed
     * @param  array<string, mixed>  $columns
     * @param  int|null  $seen  the revision that was changed; null of a new one
     * @return TKept
     *
     * @throws ValidationException where the name is taken
     */
    public function __invoke(SeedLot|Disc|Meter|Aim $of, array $columns, ?int $seen): SeedLot|Disc|Meter|Aim
    {
        $name = $of instanceof Meter ? 'serial' : ($of instanceof Aim ? 'crop' : 'name');

        return $this->documents->keep($of, $columns, $seen, $name, $columns[$name] === '' ? 'aims.taken' : 'seed.name_taken', static function (SeedLot|Disc|Meter|Aim $kept): void {
            if ($kept instanceof SeedLot && $kept->exists && $kept->isDirty('name')) {
                // Lines that still wait on a device, or lie in a file, may say the old name.
                $kept->former_names = array_values(array_unique([...$kept->former_names, $kept->getOriginal('name')]));
            }
        });
    }
}
