<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Order;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Outcome;
use App\Record\Receipt;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Parts\Stock\OrderState;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** Takes what has come of an order onto the shelf; what has not come stays on order. Sent again it comes once. */
final readonly class ReceiveOrder
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  list<mixed>  $items  id, part_type_id, quantity and happened_at of each
     *
     * @throws NotTaken
     * @throws ValidationException where the order has no such part, or is none yet
     */
    public function __invoke(Order $order, User $by, array $items): Order
    {
        return $this->change->ofWorkshop($by->workshop_id, static function (Workshop $workshop) use ($order, $by, $items): Order {
            $kept = Order::query()->findOrFail($order->id);
            if ($kept->ordered_on === null) {
                throw ValidationException::withMessages(['moves' => __('order.not_ordered')]);
            }
            $lines = array_column($kept->lines, null, 'part_type_id');
            $moves = [];
            foreach ($items as $index => $item) {
                $type = is_array($item) && is_int($item['part_type_id'] ?? null) ? $item['part_type_id'] : 0;
                if (! isset($lines[$type])) {
                    throw ValidationException::withMessages(["moves.{$index}.part_type_id" => __('order.no_such_part')]);
                }
                $moves[] = ['kind' => StockMoveKind::Received->value, 'note' => __('order.of', ['day' => $workshop->dates()->full($kept->ordered_on)])] + $item;
            }
            $receipts = (new Inbox($workshop, $by))->takeWhole(new StockMoves($workshop), $moves, new Affected);
            if (array_filter($receipts, static fn (Receipt $receipt): bool => $receipt->outcome === Outcome::Stored) === []) {
                return $kept->load(['supplier', 'user']);
            }
            foreach ($receipts as $receipt) {
                if ($receipt->outcome === Outcome::Stored) {
                    $move = $moves[$receipt->index];
                    $line = $lines[$move['part_type_id']];
                    $lines[$move['part_type_id']] = ['received' => $line['received'] + $move['quantity']] + $line;
                }
            }
            $isComplete = array_filter($lines, static fn (array $line): bool => $line['received'] < $line['quantity']) === [];
            $kept->fill(['lines' => array_values($lines), 'revision' => $kept->revision + 1] + ($isComplete ? ['state' => OrderState::Closed] : []))->save();

            return $kept->load(['supplier', 'user']);
        });
    }
}
