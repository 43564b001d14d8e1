<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Casts\AsDay;
use App\Models\Concerns\IsWatched;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\OrderState;

/**
 * What is ordered from one supplier: a draft, sent off, or done with.
 *
 * @property int $id
 * @property string $key made on the device
 * @property int $workshop_id
 * @property int|null $supplier_id
 * @property OrderState $state
 * @property string $note
 * @property list<array{part_type_id: int, quantity: int, price: float|null, received: int}> $lines
 * @property Day|null $ordered_on
 * @property Day|null $expected_on
 * @property int $user_id
 * @property int $revision counts its changes
 * @property Supplier|null $supplier
 * @property User $user
 */
final class Order extends Model
{
    use IsWatched;

    public const MOST_LINES = 500;

    protected $guarded = [];

    protected $attributes = ['note' => '', 'state' => 'draft', 'supplier_id' => null, 'ordered_on' => null, 'expected_on' => null, 'revision' => 0];

    protected $casts = ['state' => OrderState::class, 'lines' => 'array', 'ordered_on' => AsDay::class, 'expected_on' => AsDay::class];

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['revision', 'key'];
    }
}
