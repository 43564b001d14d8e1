<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Order;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Change;
use App\Record\Document;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Makes an order or changes it, over the revision that was seen. What has come of a line stays with it. */
final readonly class SaveOrder
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  Order|null  $order  null of a new one
     * @param  array<string, mixed>  $columns  of a new one with its key
     * @param  int  $seen  the revision that was changed; 0 of a new one
     *
     * @throws ConflictHttpException
     * @throws ValidationException where less would be ordered than has come
     */
    public function __invoke(User $by, ?Order $order, array $columns, int $seen): Order
    {
        return $this->change->ofWorkshop($by->workshop_id, static function (Workshop $workshop) use ($by, $order, $columns, $seen): Order {
            $kept = $order === null
                ? Order::query()->where('key', $columns['key'])->first() ?? new Order(['workshop_id' => $workshop->id, 'user_id' => $by->id, 'lines' => []])
                : Order::query()->findOrFail($order->id);
            if ($kept->workshop_id !== $workshop->id) {
                throw new ConflictHttpException(__('refused.id_taken'));
            }
            $came = array_column($kept->lines, 'received', 'part_type_id');
            $lines = array_map(static fn (array $line): array => ['received' => $came[$line['part_type_id']] ?? 0] + $line, $columns['lines']);
            if (Document::isKnown($kept, ['lines' => $lines] + $columns, $seen)) {
                return $kept->load(['supplier', 'user']);
            }
            foreach ($lines as $index => ['received' => $received, 'quantity' => $quantity]) {
                if ($quantity < $received) {
                    throw ValidationException::withMessages(["lines.{$index}.quantity" => __('order.less_than_came', ['count' => $received])]);
                }
            }
            if (array_sum(array_diff_key($came, array_column($lines, null, 'part_type_id'))) > 0) {
                throw ValidationException::withMessages(['lines' => __('order.came_already')]);
            }
            $kept->fill(['lines' => $lines, 'revision' => $kept->revision + 1] + $columns)->save();

            return $kept->load(['supplier', 'user']);
        });
    }
}
