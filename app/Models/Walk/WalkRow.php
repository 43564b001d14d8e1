<?php

declare(strict_types=1);

namespace App\Models\Walk;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\Judging\Verdict;

/**
 * The projection: one row of a walk's ribbon.
 *
 * @property string $walk_id
 * @property int $row_number 0 for the planter as a whole
 * @property Verdict $verdict the worst
 * @property float|null $life_left 0 to 1, of the worst part
 * @property int $checked places looked at
 */
final class WalkRow extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = [
        'verdict' => Verdict::class,
        'life_left' => 'float',
    ];

    /** @return BelongsTo<Walk, $this> */
    public function walk(): BelongsTo
    {
        return $this->belongsTo(Walk::class);
    }
}
