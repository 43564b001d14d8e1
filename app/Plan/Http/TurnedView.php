<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;

final readonly class TurnedView extends Schema
{
    public function __construct(
        public float $value,
        public Unit $unit,
    ) {
    }

    public static function of(?Quantity $quantity): ?self
    {
        return $quantity === null ? null : new self(value: $quantity->unit()->valueOf($quantity), unit: $quantity->unit());
    }
}
