<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Plan\Cost;

final readonly class SumView extends Schema
{
    public function __construct(
        /** Of parts, in the currency of the workshop, as far as prices are known */
        public float $cost,
        /** Parts whose price nobody knows */
        public int $unpriced,
        /** Shared access counted once */
        public float $minutes,
    ) {
    }

    public static function of(Cost $cost, float $minutes): self
    {
        return new self(cost: round($cost->known, 2), unpriced: $cost->unknown, minutes: round($minutes, 1));
    }
}
