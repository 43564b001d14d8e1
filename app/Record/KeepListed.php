<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Aim;
use App\Models\Bench\Disc;
use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use App\Models\Workshop;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Keeps a lot of seed, a disc, a meter or what counts as good in the shop’s list, over the revision that was seen. */
final readonly class KeepListed
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @template TKept of SeedLot|Disc|Meter|Aim
     *
     * @param  TKept  $of  a new one, or the one that was changed
     * @param  array<string, mixed>  $columns
     * @param  int|null  $seen  the revision that was changed; null of a new one
     * @return TKept
     *
     * @throws ValidationException where the name is taken
     * @throws ConflictHttpException
     */
    public function __invoke(int $workshopId, SeedLot|Disc|Meter|Aim $of, array $columns, ?int $seen): SeedLot|Disc|Meter|Aim
    {
        try {
            $this->change->ofWorkshop($workshopId, static function (Workshop $workshop) use ($of, $columns, $seen): bool {
                if ($of->exists && $of->refresh()->revision !== $seen) {
                    throw new ConflictHttpException(__('seed.changed_meanwhile'));
                }

                if ($of instanceof SeedLot && $of->exists && $of->name !== $columns['name']) {
                    // Lines that still wait on a device, or lie in a file, may say the old name.
                    $columns['former_names'] = array_values(array_unique([...$of->former_names, $of->name]));
                }

                return $of->fill($columns + ['workshop_id' => $workshop->id, 'revision' => $of->revision + 1])->save();
            });
        } catch (UniqueConstraintViolationException) {
            $field = $of instanceof Meter ? 'serial' : ($of instanceof Aim ? 'crop' : 'name');
            throw ValidationException::withMessages([$field => __('seed.name_taken', ['name' => $columns[$field] === '' ? __('aims.all') : $columns[$field]])]);
        }

        return $of->refresh();
    }
}
