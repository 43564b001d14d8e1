<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\TurnOf;

final readonly class PolicyTurnView extends Schema
{
    public function __construct(
        public TurnOf $of,
        /** Times what it is now; of a share, the share */
        public float $factor,
        /** That would be the cheapest */
        public Strategy $school,
        /** Of a share, the policy that goes by it */
        public ?Strategy $by,
    ) {
    }
}
