<?php

declare(strict_types=1);

namespace App\Models\Work;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;

/**
 * What a workshop says otherwise of a point that is lubricated, or a point of its own.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $point as core/jobs/lubrication.json names it, or a UUID for one of the shop's own
 * @property string $name of its own ones
 * @property string $per row or planter
 * @property string $minutes on each
 * @property string $product
 * @property string $rounds
 * @property string|null $acres of each row, after which it is due again
 * @property int|null $hours of planting, the same
 * @property bool $is_off it is not lubricated here
 * @property int $revision counts its changes
 */
final class LubricationPoint extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $casts = ['is_off' => 'boolean', 'minutes' => 'decimal:1', 'acres' => 'decimal:1'];

    protected $attributes = ['name' => '', 'is_off' => false, 'revision' => 0];

    /** @return array<string, mixed> shape: core/jobs/lubrication.json */
    public function shape(): array
    {
        return ['point' => $this->point, 'per' => $this->per, 'minutes' => (float) $this->minutes, 'product' => $this->product, 'rounds' => $this->rounds, 'acres' => $this->acres === null ? null : (float) $this->acres, 'hours' => $this->hours];
    }
}
