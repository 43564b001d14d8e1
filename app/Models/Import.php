<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that was taken into a planter's record.
 *
 * @property int $id
 * @property int $planter_id
 * @property string $kind of ImportKind
 * @property string $file_name
 * @property string $sha256
 * @property int $kept
 * @property int $left_out
 * @property int $user_id
 * @property CarbonImmutable $imported_at
 * @property User $user
 */
final class Import extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'imported_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
