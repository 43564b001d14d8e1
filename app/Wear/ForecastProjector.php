<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Wear\Forecast;
use Ustrel\Core\Wear\Trace;
use Ustrel\Core\Wear\UseLog;
use Ustrel\Core\Wear\WearPath;

/** Forecasts what wears on a planter as things stand: the table forecasts. */
final readonly class ForecastProjector
{
    public function __construct(private UseQuery $uses)
    {
    }

    /** @param  list<string>|null  $checks  keys of those that were read; all by default */
    public function project(Planter $planter, ?array $checks = null): void
    {
        $wearing = Wearing::checks($planter->readSheet(), $checks);
        if ($wearing === [] && $checks !== null) {
            return;
        }
        $record = WearRecord::of($planter, array_keys($wearing));
        $log = $this->uses->log($planter);
        $plan = $this->uses->plan($planter, $log, $this->uses->plannedAcres($planter), $planter->season());

        $lines = [];
        foreach ($wearing as $check) {
            $path = $check->wear();
            $traces = $record->traces($check);
            $items = Wearing::items($traces, $log, $path);
            foreach (Wearing::forecaster($check, $path, $planter->workshop->watch_chance)->of($items, $plan?->effectiveLeft()) as $key => $forecast) {
                if ($forecast->start === null) {
                    continue;
                }
                [$row, , $side] = explode(':', $key);
                $place = ['planter_id' => $planter->id, 'row_number' => (int) $row, 'check_key' => $check->key->value, 'side' => $side];
                $lines[] = $place + self::line($forecast, $path, $traces[$key], $log) + [
                    'fitting_id' => $record->fitting($check->key, (int) $row, Side::from($side))?->id,
                ];
            }
        }
        DB::table('forecasts')->where('planter_id', $planter->id)->when($checks !== null, static fn ($forecasts) => $forecasts->whereIn('check_key', array_keys($wearing)))->delete();
        foreach (array_chunk($lines, 1000) as $chunk) {
            DB::table('forecasts')->insert($chunk);
        }
    }

    /** @return array<string, mixed> */
    private static function line(Forecast $forecast, WearPath $path, Trace $trace, UseLog $log): array
    {
        $round = static fn (?float $value, int $places): ?float => $value === null ? null : round($value, $places);

        return [
            'size' => $round(match (true) {
                $forecast->belief !== null => $path->size($forecast->belief->room($forecast->use)),
                $trace->sightings !== [] => $trace->sightings[count($trace->sightings) - 1]->size,
                default => $trace->start,
            }, 4),
            'use_m' => round($trace->use($log, Wearing::NOW)->metres + $trace->ranBefore, 1),
            'rate' => $forecast->belief === null ? null : round($forecast->belief->rate, 12),
            'left10_m' => $round($forecast->left10, 1),
            'left50_m' => $round($forecast->left50, 1),
            'left90_m' => $round($forecast->left90, 1),
            'chance' => $round($forecast->chance, 6),
            'readings' => $forecast->readings,
            'thin' => $forecast->isThin(),
            'outliers' => json_encode($forecast->outliers, JSON_THROW_ON_ERROR),
        ];
    }
}
