<?php

declare(strict_types=1);

namespace App\Models\Plan;

use App\Models\Casts\AsKey;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\Strategy;

/**
 * A policy that was chosen for a planter, or for one kind of slot on it: it rules from then until the next.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property Slot|null $slot null for the planter as a whole
 * @property Strategy $school
 * @property array<string, array<string, mixed>> $rules of the shop's own as they were then. Shape: docs/formats.md
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $sent_sha256
 * @property User $user
 */
final class PolicyChoice extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['slot' => AsKey::class.':'.Slot::class, 'school' => Strategy::class, 'rules' => 'array', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

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
