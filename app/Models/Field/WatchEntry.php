<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Watch\ShutRows;
use Ustrel\Core\Field\Watch\WatchEntryKind;

/**
 * What somebody said while rows were watched: only ever added to.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property string $watch_run_id
 * @property WatchEntryKind $kind
 * @property int|null $watch_alarm_id
 * @property int|null $row_number
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $sent_sha256
 * @property User $user
 */
final class WatchEntry extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['kind' => WatchEntryKind::class, 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    /** @return list<int> rows of a run that are shut off on purpose now */
    public static function shutOf(string $run): array
    {
        $said = self::query()->where('watch_run_id', $run)->whereNotNull('row_number')->orderBy('happened_at')->orderBy('recorded_at')->orderBy('id')->get(['row_number', 'kind']);

        return ShutRows::after($said->map(static fn (self $of): array => [(int) $of->row_number, $of->kind]));
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
