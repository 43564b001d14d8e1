<?php

declare(strict_types=1);

namespace App\Models\Work;

use App\Models\Concerns\HasCurrent;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Work\CouldNotReason;
use Ustrel\Core\Work\WorkEventKind;

/**
 * What hands said of the work: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property WorkEventKind $kind
 * @property int $row_number 0 for the planter as a whole
 * @property list<string> $targets what was ticked, done or could not be done: keys of jobs, and of what comes off
 * @property list<string> $places that this was decided about, by key
 * @property int|null $minutes that it took, all in all
 * @property int $seized_minutes of them, that a seized joint took
 * @property string|null $typical_minutes that such work takes
 * @property string $lubricant that was used
 * @property CouldNotReason|null $reason
 * @property string $words the person's own
 * @property list<string> $ledger events that were written with it, by id
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class WorkEvent extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'kind' => WorkEventKind::class,
        'targets' => 'array',
        'places' => 'array',
        'reason' => CouldNotReason::class,
        'ledger' => 'array',
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
}
