<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;

final readonly class OrderLineEdit extends Input
{
    public function __construct(
        #[Field('stock.part', 'distinct', 'ours:part_types')] public int $part_type_id,
        #[Field('stock.quantity', 'between:1,100000')] public int $quantity,
        /** For one; null where it is not known */
        #[Field('error.money', 'between:0,100000', 'decimal:0,2')] public ?float $price = null,
        /** That have come: it follows from what was received */
        public int $received = 0,
    ) {
    }
}
