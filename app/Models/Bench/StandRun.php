<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ustrel\Core\Meter\Stage;

/**
 * A run on a test stand while it is under way, and what its seeds told. When it is over its counts go into the record under the
 * same id.
 *
 * @property string $id
 * @property int $planter_id
 * @property int $user_id
 * @property int|null $stand_id
 * @property int $row_number
 * @property Stage $stage
 * @property string $seed
 * @property string $disc
 * @property string $note
 * @property int $cells
 * @property string|null $turns a minute, as it is set
 * @property string|null $air inches of water, as it is set
 * @property int|null $run_in seeds that run before the counting begins
 * @property int|null $population seeds an acre that it runs as if it planted
 * @property string|null $mph that it runs as if it went
 * @property string $singulator
 * @property string $lubricant
 * @property int $places that are to be counted
 * @property array{size: float, leak: float, plugged: bool, fault: string, number: int}|null $practice a made-up meter in the stand's place
 * @property 'waiting'|'running'|'ending'|'ended'|'short' $state
 * @property string|null $air_seen
 * @property string|null $turns_seen a minute
 * @property int $refused_lines that could not be read
 * @property string $refused why, the last of them
 * @property array<string, mixed>|null $figures what the seeds told, once it is over
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $started_at
 * @property CarbonImmutable|null $heard_at
 * @property Planter $planter
 * @property User $user
 */
final class StandRun extends Model
{
    use HasUuids;

    public const UNDER_WAY = ['waiting', 'running', 'ending'];

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'stage' => Stage::class,
        'practice' => 'array',
        'figures' => 'array',
        'made_at' => 'immutable_datetime',
        'started_at' => 'immutable_datetime',
        'heard_at' => 'immutable_datetime',
    ];

    /** Places that come past, those of the run-in among them. */
    public function allPlaces(): int
    {
        return $this->places + ($this->run_in ?? 0);
    }

    /** Milliseconds from one cell to the next, as it is set up; null where nobody said how fast it turns. */
    public function every(): ?float
    {
        return $this->turns === null ? null : 60_000 / ((float) $this->turns * $this->cells);
    }

    /** @return list<float> milliseconds of each seed, in the order in which they dropped */
    public function times(): array
    {
        return array_values(array_map(floatval(...), $this->drops()->orderBy('seq')->toBase()->pluck('ms')->all()));
    }

    /** @return list<array{float, float|null}> milliseconds of each seed, with the vacuum that the stand told of then */
    public function seeds(): array
    {
        return array_values($this->drops()->orderBy('seq')->toBase()->get(['ms', 'air'])->map(static fn (object $of): array => [(float) $of->ms, $of->air === null ? null : (float) $of->air])->all());
    }

    /** The number of the last seed that came in; 0 before the first. */
    public function lastSeed(): int
    {
        return (int) $this->drops()->max('seq');
    }

    /** @return HasMany<StandDrop, $this> */
    public function drops(): HasMany
    {
        return $this->hasMany(StandDrop::class);
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
