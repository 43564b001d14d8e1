<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Casts\AsKey;
use App\Models\Concerns\HasCurrent;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

/**
 * What was fitted, taken out or moved on a row: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property LedgerEventKind $kind
 * @property int $row_number
 * @property Slot $slot
 * @property Side $side
 * @property string|null $part_id the piece itself, wherever it goes
 * @property int|null $part_type_id
 * @property bool $used
 * @property string|null $size millimetres when fitted
 * @property string|null $size_typed
 * @property string $ran_before_m
 * @property string|null $fitting_id what was taken out
 * @property RemovalReason|null $reason
 * @property int|null $shims inner shims in the pack that was in
 * @property int|null $pairs shims added on each side
 * @property string|null $contact_before millimetres
 * @property string|null $cost
 * @property string $note
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class LedgerEvent extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'kind' => LedgerEventKind::class,
        'slot' => AsKey::class.':'.Slot::class,
        'side' => Side::class,
        'used' => 'boolean',
        'reason' => RemovalReason::class,
        'withdrawn' => 'boolean',
        'happened_at' => 'immutable_datetime',
        'recorded_at' => 'immutable_datetime',
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

    /** @return BelongsTo<PartType, $this> */
    public function partType(): BelongsTo
    {
        return $this->belongsTo(PartType::class);
    }
}
