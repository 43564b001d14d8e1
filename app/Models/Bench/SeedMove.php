<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Concerns\HasCurrent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Stock\ShelfMove;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/**
 * Units of a lot that came or went: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $workshop_id
 * @property int $seed_lot_id
 * @property StockMoveKind $kind
 * @property int $tenths of a unit
 * @property string $note
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class SeedMove extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['kind' => StockMoveKind::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    public function move(): ShelfMove
    {
        return new ShelfMove($this->id, $this->kind, $this->tenths, Moment::of($this->happened_at->toIso8601ZuluString('millisecond')));
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    protected function owner(): string
    {
        return 'workshop_id';
    }
}
