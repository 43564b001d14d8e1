<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Work\WorkEvent;
use App\Record\Affected;
use App\Record\BulkWrite;
use App\Record\Projector;
use App\Wear\WearRecord;
use Ustrel\Core\Plan\Jobs\JobTimes;
use Ustrel\Core\Work\Target;
use Ustrel\Core\Work\WorkEventKind;

/** Learns from the finished work of a planter how long jobs take, without what seized joints took. */
final class JobTimeProjector implements Projector
{
    public static function draws(): array
    {
        return [LearnedSum::class];
    }

    public function project(WearRecord $record, Affected $affected, BulkWrite $lines): void
    {
        if ($affected->everything || $affected->work) {
            $planter = $record->planter->id;
            $lines->replace(LearnedSum::class, ['planter_id' => $planter, 'lesson' => Lesson::JobMinutes->value], LearnedSum::lines($planter, Lesson::JobMinutes, self::sums($planter)));
        }
    }

    /** @return array<string, array{float, float, float}> by kind of job */
    private static function sums(int $planterId): array
    {
        $sums = [];
        foreach (WorkEvent::current($planterId)->where('kind', WorkEventKind::Finished)->whereNotNull('minutes')->orderBy('recorded_at')->orderBy('id')->get() as $event) {
            $minutes = $event->minutes - $event->seized_minutes;
            if ($minutes < 1 || (float) $event->typical_minutes <= 0 || $event->targets === []) {
                continue;
            }
            $sums = JobTimes::together($sums, JobTimes::told(array_map(static fn (string $key): string => Target::tryFrom($key)?->kind() ?? $key, $event->targets), $minutes, (float) $event->typical_minutes));
        }

        return $sums;
    }
}
