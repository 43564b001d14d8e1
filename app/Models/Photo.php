<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A photo of a place; the picture itself is kept by App\Walk\Photos\PhotoFiles.
 *
 * @property string $id
 * @property string $walk_id
 * @property int $planter_id
 * @property int $row_number
 * @property string $check_key
 * @property string $side
 * @property string $sent_sha256 of the file as the device sent it
 * @property int $width
 * @property int $height
 * @property CarbonImmutable $taken_at
 * @property Planter $planter
 */
final class Photo extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['taken_at' => 'immutable_datetime'];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }
}
