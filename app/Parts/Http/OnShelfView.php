<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use App\Parts\OnShelf;
use App\Plan\Needed;
use Ustrel\Core\Measure\Day;

final readonly class OnShelfView extends Schema
{
    public function __construct(
        public int $part_type_id,
        public string $name,
        public ?string $own_number,
        /** Who is to get the order: in time at the lowest price, or else first; null where no supplier is known to have it */
        public ?int $supplier_id,
        /** For one, of that supplier or the part type; null where nobody knows */
        public ?float $price,
        public ?int $lead_days,
        /** At that supplier's, when its counter was asked last; null where it never said */
        public ?int $in_stock,
        public ?int $minimum,
        /** Null where nobody ever counted */
        public ?int $on_hand,
        /** More went than was there */
        public bool $miscount,
        /** For what was decided and is not done */
        public int $needed,
        /** @var list<array{planter: string, count: int}> */
        public array $for,
        /** And not come yet */
        public int $on_order,
        public int $to_order,
        /** Of these, in no draft yet */
        public int $to_draft,
        /** The last day; null where the lead time or the day of planting is not known */
        public ?Day $order_by,
    ) {
    }

    public static function of(OnShelf $of): self
    {
        return new self(
            part_type_id: $of->type->id,
            name: $of->type->name,
            own_number: $of->type->own_number,
            supplier_id: $of->offer()?->supplier,
            price: $of->price(),
            lead_days: $of->leadDays(),
            in_stock: $of->offer()?->inStock,
            minimum: $of->type->minimum,
            on_hand: $of->stock->onHand,
            miscount: $of->stock->isMiscount(),
            needed: $of->needed(),
            for: array_map(static fn (Needed $need): array => ['planter' => $need->planter, 'count' => $need->count], $of->needs),
            on_order: $of->onOrder,
            to_order: $of->toOrder(),
            to_draft: $of->toDraft(),
            order_by: $of->orderBy(),
        );
    }
}
