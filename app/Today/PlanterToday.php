<?php

declare(strict_types=1);

namespace App\Today;

use App\Models\Planter;

/** What there is to do on one planter. */
final readonly class PlanterToday
{
    /** @param  list<TodayItem>  $items  the most pressing first */
    public function __construct(
        public Planter $planter,
        /** Negative once planting has begun; null without a date. */
        public ?int $daysToPlanting,
        public array $items,
    ) {
    }
}
