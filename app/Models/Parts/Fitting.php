<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Casts\AsKey;
use App\Models\Planter;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

/**
 * The projection: one part in one slot over a span of time, and how far it ran there.
 *
 * @property string $id of the event that began it
 * @property int $planter_id
 * @property int $row_number
 * @property Slot $slot
 * @property Side $side
 * @property string $part_id
 * @property int|null $part_type_id
 * @property CarbonImmutable $fitted_at
 * @property CarbonImmutable|null $removed_at
 * @property RemovalReason|null $removal_reason
 * @property float $run_m
 * @property float $run_effective_m
 * @property LedgerEvent $event
 * @property PartType|null $partType
 */
final class Fitting extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'slot' => AsKey::class.':'.Slot::class,
        'side' => Side::class,
        'removal_reason' => RemovalReason::class,
        'run_m' => 'float',
        'run_effective_m' => 'float',
        'fitted_at' => 'immutable_datetime',
        'removed_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<LedgerEvent, $this> */
    public function event(): BelongsTo
    {
        return $this->belongsTo(LedgerEvent::class, 'id');
    }

    /** @return BelongsTo<PartType, $this> */
    public function partType(): BelongsTo
    {
        return $this->belongsTo(PartType::class);
    }

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }
}
