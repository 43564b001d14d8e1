<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A meter that a workshop knows by its own number.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $serial
 * @property string $note
 * @property int $revision counts its changes
 */
final class Meter extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['revision' => 0];

    /** @return HasMany<MeterMove, $this> */
    public function moves(): HasMany
    {
        return $this->hasMany(MeterMove::class);
    }
}
