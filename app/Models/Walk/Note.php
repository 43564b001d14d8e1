<?php

declare(strict_types=1);

namespace App\Models\Walk;

use App\Models\Casts\AsKey;
use App\Models\Concerns\HasCurrent;
use App\Models\Concerns\OfPlace;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\NoteKind;

/**
 * What a person wrote down beside the readings of a place: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property string $walk_id
 * @property int $planter_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property NoteKind $kind
 * @property string $text empty where it takes back the note that it supersedes
 * @property bool $withdrawn
 * @property string|null $supersedes
 * @property CarbonImmutable $taken_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $sent_sha256
 * @property User $user
 */
final class Note extends Model
{
    use HasCurrent;
    use HasUuids;
    use OfPlace;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'kind' => NoteKind::class,
        'withdrawn' => 'boolean',
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
