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
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Result;

/**
 * One recorded result of a check: only ever added to.
 *
 * @property string $id made on the device
 * @property string $walk_id
 * @property int $planter_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property Result $result
 * @property Entry $entry
 * @property string|null $value in the check's unit
 * @property State|null $state
 * @property list<string> $chips
 * @property string|null $typed
 * @property bool $confirmed kept although it was hard to believe
 * @property CarbonImmutable $taken_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $sent_sha256 of the canonical body; null for what came before there was one
 * @property User $user
 */
final class Reading extends Model
{
    use HasUuids;
    use OfPlace;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'result' => Result::class,
        'entry' => Entry::class,
        'state' => State::class,
        'chips' => 'array',
        'confirmed' => 'boolean',
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
