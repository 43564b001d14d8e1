<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Models\Disc;
use App\Models\SeedLot;
use App\Models\Workshop;
use App\Record\Change;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Keeps a lot of seed, or a disc, over the revision that was seen. */
final readonly class SaveSeed
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @template TKept of SeedLot|Disc
     *
     * @param  TKept  $of  a new one, or the one that was changed
     * @param  array<string, mixed>  $columns
     * @param  int|null  $seen  the revision that was changed; null of a new one
     * @return TKept
     *
     * @throws ValidationException where the name is taken
     * @throws ConflictHttpException
     */
    public function __invoke(int $workshopId, SeedLot|Disc $of, array $columns, ?int $seen): SeedLot|Disc
    {
        try {
            $this->change->ofWorkshop($workshopId, static function (Workshop $workshop) use ($of, $columns, $seen): bool {
                if ($of->exists && $of->refresh()->revision !== $seen) {
                    throw new ConflictHttpException(__('seed.changed_meanwhile'));
                }

                return $of->fill($columns + ['workshop_id' => $workshop->id, 'revision' => $of->revision + 1])->save();
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __('seed.name_taken', ['name' => $columns['name']])]);
        }

        return $of->refresh();
    }
}
