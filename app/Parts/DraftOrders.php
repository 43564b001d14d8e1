<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Order;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Change;
use Illuminate\Support\Str;
use Ustrel\Core\Parts\Stock\OrderState;

/**
 * Drafts an order for each supplier of what is to be ordered and stands in no draft yet; what nobody is known to have stands
 * in one of its own. Asked again, or by two at once, it drafts nothing twice.
 */
final readonly class DraftOrders
{
    public function __construct(private Change $change, private StoreQuery $store)
    {
    }

    /** @return list<Order> that were made */
    public function __invoke(User $by): array
    {
        return $this->change->ofWorkshop($by->workshop_id, function (Workshop $workshop) use ($by): array {
            $lines = [];
            foreach ($this->store->of($workshop) as $of) {
                if ($of->toDraft() > 0) {
                    $lines[$of->offer()->supplier ?? 0][] = ['part_type_id' => $of->type->id, 'quantity' => $of->toDraft(), 'price' => $of->price(), 'received' => 0];
                }
            }
            $made = [];
            foreach ($lines as $supplier => $ofSupplier) {
                foreach (array_chunk($ofSupplier, Order::MOST_LINES) as $some) {
                    $made[] = Order::query()->create([
                        'workshop_id' => $workshop->id, 'user_id' => $by->id, 'key' => (string) Str::uuid7(), 'state' => OrderState::Draft,
                        'supplier_id' => $supplier === 0 ? null : $supplier, 'lines' => $some, 'revision' => 1,
                    ])->load(['supplier', 'user']);
                }
            }

            return $made;
        });
    }
}
