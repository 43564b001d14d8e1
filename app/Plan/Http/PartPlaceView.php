<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

final readonly class PartPlaceView extends Schema
{
    public function __construct(
        public int $row,
        public Slot $slot,
        public Side $side,
    ) {
    }
}
