<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Wear\Forecast as ForecastLine;
use App\Record\Affected;
use App\Record\BulkWrite;
use App\Record\Projector;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\PlanterWear;
use Ustrel\Core\Wear\ReadingError;
use Ustrel\Core\Wear\Trace;
use Ustrel\Core\Wear\WearForecast;
use Ustrel\Core\Wear\WearPath;

/** Forecasts what wears on a planter as things stand, and says what its readings teach of how the shop measures. */
final class ForecastProjector implements Projector
{
    public static function draws(): array
    {
        return [ForecastLine::class, LearnedSum::class];
    }

    public function project(WearRecord $record, Affected $affected, BulkWrite $lines): void
    {
        $all = $affected->everything || $affected->forecasts || $affected->acresSince !== null;
        $checks = PlanterWear::checks($record->planter->readSheet(), $all ? null : AffectedChecks::checks($affected));
        if (! $all && $checks === []) {
            return;
        }
        $keys = PlanterWear::keys($checks);
        $wear = $record->wear($keys);
        $planter = $record->planter->id;
        $drawn = $spreads = [];
        foreach ($checks as $check) {
            array_push($drawn, ...self::lines($planter, $wear, $check));
            $spread = ReadingError::of($check->key)->spread($wear->parts($check));
            if ($spread->spare > 0) {
                [$spare, , $squares] = $spreads[$check->key->value] ?? [0, 0, 0.0];
                $spreads[$check->key->value] = [$spare + $spread->spare, 0, $squares + $spread->squares];
            }
        }
        $lines->replace(ForecastLine::class, ['planter_id' => $planter] + ($all ? [] : ['check_key' => $keys]), $drawn);
        $lines->replace(LearnedSum::class, ['planter_id' => $planter, 'lesson' => Lesson::Measuring->value] + ($all ? [] : ['subject' => $keys]), LearnedSum::lines($planter, Lesson::Measuring, $spreads));
    }

    /** @return list<array<string, mixed>> */
    private static function lines(int $planterId, PlanterWear $wear, Check $check): array
    {
        $path = $check->wear();
        if ($path === null) {
            return [];
        }
        $traces = $wear->history->traces($check);
        $lines = [];
        foreach ($wear->forecasts($check) as $key => $forecast) {
            if ($forecast->start !== null) {
                $place = Place::fromKey($key);
                $lines[] = ['planter_id' => $planterId, ...ForecastLine::at($place), ...self::line($forecast, $path, $traces[$key], $wear), 'fitting_id' => $wear->history->fitting($place)?->id];
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function line(WearForecast $forecast, WearPath $path, Trace $trace, PlanterWear $wear): array
    {
        $round = static fn (?float $value, int $places): ?float => $value === null ? null : round($value, $places);

        return [
            'size' => $round($forecast->belief === null ? $trace->start : $path->size($forecast->belief->room), 4),
            'use_m' => round($trace->use($wear->log, Moment::endOfTime())->metres + $trace->ranBefore, 1),
            'rate' => $forecast->belief === null ? null : round($forecast->belief->rate, 12),
            'left10_m' => $round($forecast->left10, 1),
            'left50_m' => $round($forecast->left50, 1),
            'left90_m' => $round($forecast->left90, 1),
            'chance' => $round($forecast->chance, 6),
            'readings' => $forecast->readings,
            'thin' => $forecast->isThin,
            'outliers' => $forecast->outliers,
            'grown' => $forecast->grown,
            'grows_back' => $forecast->growsBack,
        ];
    }
}
