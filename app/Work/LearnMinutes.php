<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\WorkEvent;
use Ustrel\Core\Plan\Jobs\JobTimes;
use Ustrel\Core\Work\Target;
use Ustrel\Core\Work\WorkEventKind;

/** Learns from the finished work of a planter how long jobs take, without what seized joints took. */
final readonly class LearnMinutes
{
    public function __invoke(Planter $planter): void
    {
        $sums = [];
        foreach (WorkEvent::current($planter->id)->where('kind', WorkEventKind::Finished)->whereNotNull('minutes')->orderBy('recorded_at')->orderBy('id')->get() as $event) {
            $minutes = $event->minutes - $event->seized_minutes;
            if ($minutes < 1 || (float) $event->typical_minutes <= 0 || $event->targets === []) {
                continue;
            }
            $sums = JobTimes::together($sums, JobTimes::told(array_map(static fn (string $key): string => Target::tryFrom($key)?->kind() ?? $key, $event->targets), $minutes, (float) $event->typical_minutes));
        }
        ksort($sums);
        Planter::query()->whereKey($planter->id)->update(['job_minutes' => json_encode((object) $sums, JSON_THROW_ON_ERROR)]);
    }
}
