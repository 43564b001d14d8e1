<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;

final readonly class AimsView extends Schema
{
    public function __construct(
        /** @var list<AimView> By crop and size; those of all crops first */
        public array $aims,
        /** @var array{singulation: float, rate_low: float, rate_high: float, depth_band: float, emergence_hours: float, spacing_cv: float} */
        public array $typical,
    ) {
    }
}
