<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;

/** Something that was carried over from an earlier walk, or until so many acres, and comes back by itself. */
final readonly class CarriedOver
{
    public function __construct(
        public Decision $decision,
        public bool $isDue,
    ) {
    }
}
