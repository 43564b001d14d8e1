<?php

declare(strict_types=1);

namespace App\Models\Field;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ustrel\Core\Field\Watch\AlarmKind;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Field\Watch\WatchEntryKind;

/**
 * Rows of which the driver was told: as it was raised. What became of it is in its entries and its rows that are back.
 *
 * @property int $id
 * @property string $watch_run_id
 * @property CarbonImmutable $at
 * @property AlarmKind $kind
 * @property Watched $watched
 * @property non-empty-list<int> $rows
 * @property GroupKind|null $group_kind what they share, where that is to blame
 * @property string|null $group_name
 * @property 1|-1 $direction
 * @property float|null $expected in the unit of what is watched
 * @property float|null $found
 * @property int $seconds of planting for which it had been going on
 * @property int $pass
 * @property string $mph
 * @property WatchRun $run
 * @property Collection<int, WatchEntry> $entries
 * @property Collection<int, WatchBack> $backs
 */
final class WatchAlarm extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'at' => 'immutable_datetime', 'kind' => AlarmKind::class, 'watched' => Watched::class, 'group_kind' => GroupKind::class,
        'rows' => 'array', 'expected' => 'float', 'found' => 'float',
    ];

    /** @return BelongsTo<WatchRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(WatchRun::class, 'watch_run_id');
    }

    /** @return HasMany<WatchEntry, $this> what people said of it, the first first */
    public function entries(): HasMany
    {
        return $this->hasMany(WatchEntry::class)->orderBy('happened_at')->orderBy('id');
    }

    /** @return HasMany<WatchBack, $this> */
    public function backs(): HasMany
    {
        return $this->hasMany(WatchBack::class);
    }

    /** Who saw it first, and when; null where nobody has. */
    public function seen(): ?WatchEntry
    {
        return $this->entries->first();
    }

    /** What it tells is how its rows are meant to be. */
    public function isLeft(): bool
    {
        return $this->entries->contains('kind', WatchEntryKind::Left);
    }

    /** @return list<int> rows of it that are not as they were before again */
    public function open(): array
    {
        return array_values(array_diff($this->rows, $this->backs->pluck('row_number')->all()));
    }
}
