<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Watch\AlarmKind;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\Watched;

/**
 * Rows of which the driver was told, and what became of it.
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
 * @property list<int> $back rows that are as they were again
 * @property CarbonImmutable|null $seen_at
 * @property int|null $seen_by
 * @property bool $is_left what it is like is how it is to be
 * @property User|null $seer
 */
final class WatchAlarm extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['back' => '[]', 'is_left' => false];

    protected $casts = [
        'at' => 'immutable_datetime', 'seen_at' => 'immutable_datetime', 'kind' => AlarmKind::class, 'watched' => Watched::class, 'group_kind' => GroupKind::class,
        'rows' => 'array', 'back' => 'array', 'expected' => 'float', 'found' => 'float', 'is_left' => 'boolean',
    ];

    /** @return BelongsTo<User, $this> */
    public function seer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'seen_by');
    }
}
