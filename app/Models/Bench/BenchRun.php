<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Concerns\HasCurrent;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\RunSetUp;
use Ustrel\Core\Meter\Stage;

/**
 * A run of a row's meter on a test stand: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property int $row_number
 * @property Stage $stage
 * @property int $places where a seed should have dropped
 * @property int $skips of them
 * @property int $doubles of them
 * @property string $seed the lot, in own words
 * @property int|null $seed_lot_id the lot, where the shop has it in its list
 * @property string $disc or plate, in own words
 * @property string|null $air inches of water
 * @property int|null $cells of the disc
 * @property int|null $population seeds an acre that it ran as if it planted
 * @property string|null $mph that it ran as if it went
 * @property string $singulator step, in own words
 * @property string $lubricant and dose, in own words
 * @property int|null $run_in seeds that ran before the counting began
 * @property string|null $part_of the first part of the run, whose vacuum was changed on the way
 * @property string $stand_run_id where it was told seed by seed
 * @property string $note
 * @property bool $is_partial it was cut short
 * @property bool $is_look one turn of the disc by hand, looked at: no run
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 * @property SeedLot|null $seedLot
 * @property StandRun|null $standRun
 */
final class BenchRun extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'stage' => Stage::class,
        'withdrawn' => 'boolean',
        'is_partial' => 'boolean',
        'is_look' => 'boolean',
        'happened_at' => 'immutable_datetime',
        'recorded_at' => 'immutable_datetime',
    ];

    public function counts(): Counts
    {
        return new Counts($this->places, $this->skips, $this->doubles);
    }

    /** Of a made-up meter: it says nothing of a real one. */
    public function isPractice(): bool
    {
        return $this->standRun?->practice !== null;
    }

    /** The lot as it is called now. */
    public function lotName(): string
    {
        return $this->seedLot->name ?? $this->seed;
    }

    /** How it was set up, but for its air. */
    public function setUp(): RunSetUp
    {
        return new RunSetUp($this->lotKey(), $this->disc, $this->singulator, $this->lubricant, $this->mph === null ? null : (float) $this->mph);
    }

    /** Two runs with the same one were made with the same seed. */
    public function lotKey(): string
    {
        return $this->seed_lot_id === null ? mb_strtolower($this->seed) : "#{$this->seed_lot_id}";
    }

    /** @return BelongsTo<SeedLot, $this> */
    public function seedLot(): BelongsTo
    {
        return $this->belongsTo(SeedLot::class);
    }

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return BelongsTo<StandRun, $this> whose seeds were told one by one */
    public function standRun(): BelongsTo
    {
        return $this->belongsTo(StandRun::class);
    }

    /**
     * What its seeds told one by one: of a run in parts, the first of them.
     *
     * @return array<string, mixed>|null
     */
    public function figures(): ?array
    {
        return $this->part_of === null ? $this->standRun?->figures : null;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
