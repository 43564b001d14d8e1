<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Measure\Day;

final readonly class TodayView extends Schema
{
    public function __construct(
        /** In the shop */
        public Day $day,
        /** @var list<PlanterTodayView> Those with something to do, the most pressing first */
        public array $planters,
        /** @var list<TodayItemView> Orders that come within a week, or should have come */
        public array $deliveries,
    ) {
    }
}
