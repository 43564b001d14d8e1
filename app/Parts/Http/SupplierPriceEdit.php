<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Ustrel\Core\Measure\Day;

final readonly class SupplierPriceEdit extends Input
{
    public function __construct(
        #[Field('stock.part', 'distinct', 'ours:part_types')] public int $part_type_id,
        #[Field('supplier.since')] public Day $since,
        /** For one; null where it is not known */
        #[Field('error.money', 'between:0,100000', 'decimal:0,2')] public ?float $price = null,
        #[Field('part.lead_days', 'between:0,730')] public ?int $lead_days = null,
    ) {
    }
}
