<?php

declare(strict_types=1);

namespace App\Parts;

use App\Http\CsvSheet;
use App\Http\Paper;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Workshop;
use Illuminate\Support\Collection;

/** An order to send off: as a table, and on paper. */
final readonly class OrderSheet
{
    /** @var Collection<int, PartType> */
    private Collection $types;

    public function __construct(private Order $order, private Workshop $workshop)
    {
        $this->types = PartType::query()->whereKey(array_column($order->lines, 'part_type_id'))->get()->keyBy('id');
    }

    public function csv(): string
    {
        return CsvSheet::of(['number', 'part', 'quantity', 'price', 'currency'], array_map(function (array $line): array {
            $type = $this->types[$line['part_type_id']] ?? null;

            return [$type?->own_number, $type?->name, $line['quantity'], $line['price'] ?? null, $this->workshop->currency];
        }, $this->order->lines));
    }

    public function pdf(): string
    {
        return Paper::pdf('print.order', [
            'order' => $this->order,
            'workshop' => $this->workshop,
            'types' => $this->types,
            'money' => fn (?float $sum): string => $sum === null ? __('order.unknown') : $this->workshop->money($sum),
            'sum' => array_sum(array_map(static fn (array $line): float => $line['quantity'] * (float) $line['price'], $this->order->lines)),
            'unpriced' => count(array_filter($this->order->lines, static fn (array $line): bool => $line['price'] === null)),
        ]);
    }
}
