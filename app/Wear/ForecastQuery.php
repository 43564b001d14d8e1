<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\Wear\Forecast;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Wear\Standing;

/** Reads how long what wears on a planter will last, in the words of its acres and its season. */
final class ForecastQuery
{
    /**
     * @param  Planter  $planter  with its workshop
     * @param  int|null  $row  only this row
     */
    public function of(Planter $planter, ?int $row = null): PlanterForecast
    {
        $record = new WearRecord($planter);
        $plan = $record->plan();
        $severity = $record->log()->severity(Moment::endOfTime());
        $places = Forecast::query()
            ->where('planter_id', $planter->id)
            ->when($row !== null, static fn ($forecasts) => $forecasts->where('row_number', $row))
            ->orderBy('row_number')
            ->orderBy('check_key')
            ->orderBy('side')
            ->get()
            ->map(static fn (Forecast $line): PlaceForecast => self::place($line, $planter, $plan, $severity));

        return new PlanterForecast($planter, $plan, $record->log(), array_values($places->all()));
    }

    /** What is left in metres and acres on the planter's own ground, and the day it comes to. */
    private static function place(Forecast $line, Planter $planter, ?PlantingProgress $plan, float $severity): PlaceForecast
    {
        $metres = $acres = [];
        foreach (['p10' => $line->left10_m, 'p50' => $line->left50_m, 'p90' => $line->left90_m] as $share => $effective) {
            $left = $effective === null ? null : FurrowDistance::ofMetres($effective / $severity);
            $metres[$share] = $left === null ? null : round($left->metres);
            $acres[$share] = $left === null ? null : round($left->toPlanterAcres($planter->spacing(), $planter->row_count), 1);
            $days = $share === 'p50' && $left !== null ? $plan?->dayOf($left->toPlanterAcres($planter->spacing(), $planter->row_count)) : $days ?? null;
        }

        return new PlaceForecast(
            $line->place(), $line->fitting_id, $line->size, $line->use_m, $metres, $acres, $line->chance,
            $days === null ? null : $planter->planting_start?->plusDays($days), $line->thin, $line->readings, $line->outliers,
            Standing::of($line->left50_m, $line->chance, $line->thin, (float) $planter->workshop->watch_chance), $line->grown !== null, $line->grows_back,
        );
    }
}
