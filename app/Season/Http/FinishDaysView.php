<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Measure\Day;

final readonly class FinishDaysView extends Schema
{
    public function __construct(
        public ?Day $p10,
        public ?Day $p50,
        public ?Day $p90,
    ) {
    }
}
