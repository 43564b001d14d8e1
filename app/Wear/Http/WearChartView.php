<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Api\Schema;
use App\Models\Planter;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\Acres\Stretch;
use Ustrel\Core\Wear\Normal;
use Ustrel\Core\Wear\Sighting;
use Ustrel\Core\Wear\WearForecast;
use Ustrel\Core\Wear\WearPath;

/** Distances in furrow metres of the row, each counted by the severity of its ground. */
final readonly class WearChartView extends Schema
{
    private const SAMPLES = 24;

    public function __construct(
        public CheckKey $check,
        /** Else it grows */
        public bool $shrinks,
        public float $limit_mm,
        public ?float $new_mm,
        /** What one acre of the planter is worth on its own ground */
        public float $metres_per_acre,
        public float $now_m,
        public ?float $season_end_m,
        /**
         * @var list<array{
         *     at_m: float,
         *     size_mm: float,
         *     taken_at: Moment,
         *     current: bool, // Of the part that is fitted now
         *     outlier: bool, // Does not fit the rest; it hardly weighs
         * }>
         */
        public array $points,
        /** @var list<array{at_m: float, on: Day}> Where another part went in, or it was set anew */
        public array $changes,
        /** @var list<array{at_m: float, size_mm: float, low_mm: float, high_mm: float}> Expected size with the ends of the 80% band; empty where the record is too thin */
        public array $line,
        public bool $thin,
    ) {
    }

    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  WearPath  $path  of the check
     */
    public static function of(Planter $planter, Check $check, WearPath $path, Place $place): self
    {
        $record = new WearRecord($planter);
        $wear = $record->wear([$check->key->value]);
        $history = $wear->history;
        $log = $wear->log;
        $trace = $history->trace($place);
        $forecast = $wear->forecasts($check)[$place->key()];
        $now = $log->total($place->row)->effective;
        // Where the part was at each of its uses, told by the row that it is on now.
        $used = $trace->use($log, Moment::endOfTime())->effective;
        $points = [];
        foreach ($trace->sightings as $sighting) {
            $points[] = self::point($sighting, $now - $used + $trace->use($log, $sighting->at)->effective, true, $forecast);
        }
        foreach ($history->gone($place) as $sighting) {
            $points[] = self::point($sighting, $log->before($place->row, $sighting->at)->effective, false, $forecast);
        }
        $end = $wear->plan === null ? null : $now + $wear->plan->effectiveLeft();
        $zone = $planter->workshop->zone();

        return new self(
            check: $check->key,
            shrinks: $path->shrinks,
            limit_mm: $path->limit,
            new_mm: $path->new,
            metres_per_acre: $log->severity(Moment::endOfTime()) * FurrowDistance::ofRowAcres(1 / $planter->row_count, $planter->spacing())->metres,
            now_m: round($now, 1),
            season_end_m: $end === null ? null : round($end, 1),
            points: $points,
            changes: array_map(static fn (Stretch $stretch): array => [
                'at_m' => round($log->before($place->row, $stretch->from)->effective, 1), 'on' => $stretch->from->day($zone),
            ], $history->changes($place)),
            line: self::line($forecast, $path, $now, $end),
            thin: $forecast->isThin,
        );
    }

    /** @return array{at_m: float, size_mm: float, taken_at: Moment, current: bool, outlier: bool} */
    private static function point(Sighting $sighting, float $at, bool $current, WearForecast $forecast): array
    {
        return [
            'at_m' => round($at, 1),
            'size_mm' => $sighting->size,
            'taken_at' => $sighting->at,
            'current' => $current,
            'outlier' => in_array($sighting->id, $forecast->outliers, true),
        ];
    }

    /** @return list<array{at_m: float, size_mm: float, low_mm: float, high_mm: float}> what is expected of the part from its start on, with the ends of the 80% band */
    private static function line(WearForecast $forecast, WearPath $path, float $now, ?float $end): array
    {
        $belief = $forecast->belief;
        if ($belief === null) {
            return [];
        }
        $start = $now - $forecast->use;
        $furthest = max($end ?? $now, $now + min($forecast->left90 ?? INF, 1.5 * ($forecast->left50 ?? 0.0)));
        $line = [];
        for ($sample = 0; $sample <= self::SAMPLES; $sample++) {
            $use = ($furthest - $start) * $sample / self::SAMPLES;
            $reach = Normal::P90 * $belief->sdAt($use);
            $ends = [$path->size($belief->roomAt($use) - $reach), $path->size($belief->roomAt($use) + $reach)];
            $line[] = ['at_m' => round($start + $use, 1), 'size_mm' => round($path->size($belief->roomAt($use)), 3), 'low_mm' => round(min($ends), 3), 'high_mm' => round(max($ends), 3)];
        }

        return $line;
    }
}
