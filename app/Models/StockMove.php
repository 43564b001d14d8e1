<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Query\Builder as Query;
use Ustrel\Core\Parts\StockMoveKind;

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
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['kind' => StockMoveKind::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    /**
     * Those of a workshop that hold.
     *
     * @param  Builder<self>  $moves
     */
    #[Scope]
    protected function held(Builder $moves, int $workshopId): void
    {
        $moves->where('stock_moves.workshop_id', $workshopId)->where('stock_moves.withdrawn', false)
            ->whereNotIn('stock_moves.id', static fn (Query $later): Query => $later->from('stock_moves AS later')->where('later.workshop_id', $workshopId)->whereNotNull('later.supersedes')->select('later.supersedes'));
    }

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
}
