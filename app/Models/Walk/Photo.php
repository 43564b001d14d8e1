<?php

declare(strict_types=1);

namespace App\Models\Walk;

use App\Models\Casts\AsKey;
use App\Models\Concerns\OfPlace;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

/**
 * A photo of a place; the picture itself is kept by App\Walk\Photos\PhotoFiles.
 *
 * @property string $id made on the device
 * @property string $walk_id
 * @property int $planter_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property string $file_sha256 of the file as the device sent it
 * @property string|null $sent_sha256
 * @property int $width
 * @property int $height
 * @property CarbonImmutable $taken_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property Planter $planter
 * @property User $user
 */
final class Photo extends Model
{
    use HasUuids;
    use OfPlace;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'taken_at' => 'immutable_datetime',
        'recorded_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Walk, $this> */
    public function walk(): BelongsTo
    {
        return $this->belongsTo(Walk::class);
    }

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
