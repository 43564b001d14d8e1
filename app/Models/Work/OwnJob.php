<?php

declare(strict_types=1);

namespace App\Models\Work;

use App\Models\Concerns\HasCurrent;
use App\Models\Planter;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Work\OwnWork;
use Ustrel\Core\Work\Target;

/**
 * Work that the shop has added to a planter: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property int $row_number 0 for the planter as a whole
 * @property string $title what is done
 * @property int $minutes
 * @property bool $blocks planting waits for it
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 */
final class OwnJob extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'blocks' => 'boolean',
        'withdrawn' => 'boolean',
        'happened_at' => 'immutable_datetime',
        'recorded_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    public function work(): OwnWork
    {
        return new OwnWork(Target::own($this->row_number, $this->id), $this->minutes, $this->blocks);
    }
}
