<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\Strategy;

final readonly class PolicyTableView extends Schema
{
    public function __construct(
        /** @var list<PolicyLineView> */
        public array $lines,
        public Strategy $cheapest,
        public ?Strategy $next,
        /** Of the next, in the middle run */
        public float $ahead,
        /** @var list<PolicyTurnView> */
        public array $turns,
        /** Of a season */
        public float $acres,
        /** @var list<Slot> Slots whose record says little: nominal lives, wide */
        public array $thin,
        /** Nobody has said what an hour costs */
        public bool $without_rate,
        public bool $without_stop_cost,
    ) {
    }
}
