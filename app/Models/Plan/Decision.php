<?php

declare(strict_types=1);

namespace App\Models\Plan;

use App\Models\Casts\AsKey;
use App\Models\Concerns\HasCurrent;
use App\Models\Concerns\OfPlace;
use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\LookAgain;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;

/**
 * What was decided about a finding: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property string $walk_id
 * @property int $row_number
 * @property CheckKey $check_key
 * @property Side $side
 * @property Action $action
 * @property Why $why
 * @property Action|null $proposed where that was another
 * @property OverrideReason|null $reason
 * @property string $words the person's own
 * @property LookWhen|null $look_when
 * @property string|null $look_acres of the season
 * @property string|null $reading_id what was found then; null where the policy alone says so
 * @property Verdict $verdict
 * @property list<array{row: int, slot: string, side: string}> $parts
 * @property string $cost
 * @property int $unpriced parts whose price nobody knew
 * @property string $minutes
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 * @property Walk $walk
 */
final class Decision extends Model
{
    use HasCurrent;
    use HasUuids;
    use OfPlace;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'action' => Action::class,
        'why' => Why::class,
        'proposed' => Action::class,
        'reason' => OverrideReason::class,
        'look_when' => LookWhen::class,
        'verdict' => Verdict::class,
        'parts' => 'array',
        'withdrawn' => 'boolean',
        'happened_at' => 'immutable_datetime',
        'recorded_at' => 'immutable_datetime',
    ];

    public function lookAgain(): ?LookAgain
    {
        return $this->look_when === null ? null : LookAgain::at($this->look_when, $this->look_acres === null ? null : (float) $this->look_acres);
    }

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
