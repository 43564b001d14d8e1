<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A time in which a row monitor tells of a planter that plants: what it told is kept pass by pass, and what was amiss.
 *
 * @property string $id
 * @property int $planter_id
 * @property int $user_id
 * @property int|null $stand_id the monitor that tells of it
 * @property string $field
 * @property int $acres of this planter to a false alarm
 * @property array{fault: string, number: int, rows: list<int>}|null $practice a made-up field in the monitor's place
 * @property 'waiting'|'running'|'ended' $state
 * @property int|null $first_ms of the monitor's clock
 * @property int|null $last_ms
 * @property int $refused_lines that could not be read
 * @property string $refused why, the last of them
 * @property array<string, mixed>|null $now what each row told last
 * @property array<string, list<list<float|int>>>|null $learned how much its rows scatter, for the next run
 * @property string|null $kept
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $started_at
 * @property CarbonImmutable|null $heard_at
 * @property CarbonImmutable|null $ended_at
 * @property Planter $planter
 * @property User $user
 */
final class WatchRun extends Model
{
    use HasUuids;

    public const UNDER_WAY = ['waiting', 'running'];

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['field' => '', 'refused_lines' => 0, 'refused' => ''];

    protected $casts = [
        'practice' => 'array', 'now' => 'array', 'learned' => 'array',
        'made_at' => 'immutable_datetime', 'started_at' => 'immutable_datetime', 'heard_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime',
    ];

    /** @return list<int> rows that are shut off on purpose: by who watches, or parked */
    public function shutRows(): array
    {
        return array_values(array_unique([...$this->planter->parked_rows, ...WatchEntry::shutOf($this->id)]));
    }

    public function isUnderWay(): bool
    {
        return in_array($this->state, self::UNDER_WAY, true);
    }

    /** When it was by our clock, of a moment of the monitor's. */
    public function moment(int $ms): CarbonImmutable
    {
        $at = ($this->started_at ?? $this->made_at)->addMilliseconds($ms - ($this->first_ms ?? $ms));

        return $at->min(CarbonImmutable::now());
    }

    /**
     * Without what is only there to go on by.
     *
     * @param  Builder<WatchRun>  $query
     * @return Builder<WatchRun>
     */
    public function scopeToShow(Builder $query): Builder
    {
        return $query->select(['id', 'planter_id', 'user_id', 'stand_id', 'field', 'acres', 'practice', 'state', 'first_ms', 'last_ms', 'refused_lines', 'refused', 'now', 'made_at', 'started_at', 'heard_at', 'ended_at']);
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

    /** @return HasMany<WatchPass, $this> */
    public function passes(): HasMany
    {
        return $this->hasMany(WatchPass::class);
    }

    /** @return HasMany<WatchAlarm, $this> */
    public function alarms(): HasMany
    {
        return $this->hasMany(WatchAlarm::class);
    }
}
