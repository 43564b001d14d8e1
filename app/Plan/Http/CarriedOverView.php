<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

final readonly class CarriedOverView extends Schema
{
    public function __construct(
        public int $row,
        public CheckKey $check,
        public Side $side,
        public bool $due,
        public DecisionView $decision,
    ) {
    }
}
