<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Work\LubricationPoint;
use App\Models\Workshop;
use App\Record\Change;
use App\Record\Document;
use Illuminate\Validation\ValidationException;

/** Keeps what the shop says of a point that is lubricated, over the revision that was seen. */
final readonly class KeepLubrication
{
    private const MOST = 40;

    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  int  $seen  the revision that was changed; 0 of one that the shop has not changed yet
     *
     * @throws ValidationException where there are too many
     */
    public function __invoke(int $workshopId, string $point, array $columns, int $seen): LubricationPoint
    {
        return $this->change->ofWorkshop($workshopId, static function (Workshop $workshop) use ($point, $columns, $seen): LubricationPoint {
            $all = LubricationPoint::query()->where('workshop_id', $workshop->id);
            $of = (clone $all)->where('point', $point)->first() ?? new LubricationPoint(['workshop_id' => $workshop->id, 'point' => $point]);
            if (Document::isKnown($of, $columns, $seen)) {
                return $of;
            }
            if (! $of->exists && $all->count() >= self::MOST) {
                throw ValidationException::withMessages(['name' => __('lube.many', ['most' => self::MOST])]);
            }
            $of->fill($columns + ['revision' => $seen + 1])->save();

            return $of->refresh();
        });
    }
}
