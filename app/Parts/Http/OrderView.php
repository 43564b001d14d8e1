<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Parts\Order;

final readonly class OrderView extends Schema
{
    public function __construct(
        #[Inlined] public OrderEdit $edit,
        public int $id,
        public ?string $supplier,
    ) {
    }

    /** @param  Order  $of  with its supplier */
    public static function of(Order $of): self
    {
        return new self(OrderEdit::ofModel($of), $of->id, $of->supplier?->name);
    }
}
