<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Work\RainDay;
use Ustrel\Core\Plan\Jobs\Job;

final readonly class RainDayView extends Schema
{
    public function __construct(
        /** @var list<list<RainJobView>> */
        public array $people,
        /** @var list<int> That each needs for it */
        public array $minutes,
        /** Of risk removed and depth won back, in the currency of the workshop */
        public float $worth,
        /** No other choice removes more */
        public bool $best,
        public float $at_most,
        /**
         * What only just has no room
         *
         * @var list<array{
         *     job: RainJobView,
         *     minutes: int, // More that it would need
         * }>
         */
        public array $missed,
        /** Minutes that go into making the planter safe */
        public int $safe,
        /** Things to do whose parts are not here */
        public int $waiting,
        /** Things to do whose risk nobody can tell */
        public int $unknown,
        /** Things to do that take more people than there are */
        public int $for_more,
        /** Nobody has said what a stop costs */
        public bool $no_stop_cost,
    ) {
    }

    public static function of(RainDay $day): self
    {
        $job = static fn (string $key): RainJobView => RainJobView::of($day->proposals[$key]);

        return new self(
            people: array_map(static fn (array $keys): array => array_map($job, $keys), $day->plan->people ?? []),
            minutes: $day->plan->minutes ?? [],
            worth: round($day->plan->worth ?? 0.0, 2),
            best: $day->plan->isBest ?? true,
            at_most: round($day->plan->atMost ?? 0.0, 2),
            missed: array_map(static fn (string $key, int $minutes): array => ['job' => $job($key), 'minutes' => $minutes], array_keys($day->plan->missed ?? []), $day->plan->missed ?? []),
            safe: $day->safe,
            waiting: $day->waiting,
            unknown: $day->unknown,
            for_more: $day->forMore,
            no_stop_cost: ! $day->hasStopCost,
        );
    }
}
