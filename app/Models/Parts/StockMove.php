<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Concerns\HasCurrent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/**
 * What came onto a workshop's shelf or went from it: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $workshop_id
 * @property int $part_type_id
 * @property StockMoveKind $kind
 * @property int $quantity
 * @property string $note
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class StockMove extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['kind' => StockMoveKind::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<PartType, $this> */
    public function partType(): BelongsTo
    {
        return $this->belongsTo(PartType::class);
    }

    protected function owner(): string
    {
        return 'workshop_id';
    }
}
