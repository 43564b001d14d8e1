<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\IsWatched;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * An operator's manual, of one planter or of all that go by a spec sheet; the file itself is kept by App\Spec\Manuals\ManualFiles.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int|null $planter_id
 * @property int|null $spec_sheet_id where it is of no single planter
 * @property string $name
 * @property int $bytes
 * @property string $sha256 of the file
 * @property array<string, int> $pages by check
 * @property int $revision counts its changes
 * @property int $user_id
 * @property CarbonImmutable $recorded_at
 */
final class Manual extends Model
{
    use IsWatched;

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['pages' => '{}', 'revision' => 0];

    protected $casts = ['pages' => 'array', 'recorded_at' => 'immutable_datetime'];

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['bytes', 'sha256', 'revision', 'recorded_at', 'user_id'];
    }

    /**
     * Those of a planter, and of the sheets that its rows go by.
     *
     * @return Builder<self>
     */
    public static function ofPlanter(Planter $planter): Builder
    {
        $sheets = array_filter([$planter->spec_sheet_id, ...array_column($planter->other_rows, 'spec_sheet_id')]);

        return self::query()->where('workshop_id', $planter->workshop_id)
            ->where(static fn (Builder $of) => $of->where('planter_id', $planter->id)->orWhereIn('spec_sheet_id', $sheets))
            ->orderByRaw('planter_id NULLS LAST')->orderBy('name')->orderBy('id');
    }
}
