<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\Casts\AsDay;
use App\Models\Concerns\HasCurrent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Emergence\PlantCount;
use Ustrel\Core\Measure\Day;

/**
 * Plants that stood on a marked length of a row: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property int $row_number
 * @property string $field
 * @property Day $planted_on
 * @property int $plants
 * @property string $length millimetres
 * @property int|null $population that was planted, seeds an acre
 * @property string|null $germination share
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class StandCount extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['planted_on' => AsDay::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    /** @param  string  $zone  of the workshop: planting is taken to be at noon of its day */
    public function counted(string $zone): PlantCount
    {
        $planted = CarbonImmutable::parse("{$this->planted_on->iso} 12:00", $zone);

        return new PlantCount($this->row_number, max(0.0, $planted->diffInMinutes($this->happened_at) / 60), $this->plants, (float) $this->length / 304.8);
    }

    /**
     * Plants an acre that were to be expected: population times germination, as they were told last.
     *
     * @param  Collection<int, self>  $counts  the newest first
     */
    public static function expectedBy(Collection $counts): ?float
    {
        $told = $counts->first(static fn (self $of): bool => $of->population !== null);

        return $told === null ? null : (float) $told->population * (float) ($told->germination ?? 1);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
