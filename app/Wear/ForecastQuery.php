<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Plan\SeasonPlan;

/** Reads how long what wears on a planter will last, in the words of its acres and its season. */
final readonly class ForecastQuery
{
    public function __construct(private UseQuery $uses)
    {
    }

    /** @param  int|null  $row  only this row */
    public function of(Planter $planter, ?int $row = null): PlanterForecast
    {
        $log = $this->uses->log($planter);
        $plan = $this->uses->plan($planter, $log, $this->uses->plannedAcres($planter), $planter->season());
        $severity = UseQuery::severity($log);

        return new PlanterForecast(
            $planter,
            $plan,
            $log,
            DB::table('forecasts')
                ->where('planter_id', $planter->id)
                ->when($row !== null, static fn ($forecasts) => $forecasts->where('row_number', $row))
                ->orderBy('row_number')
                ->orderBy('check_key')
                ->orderBy('side')
                ->get()
                ->map(static fn (stdClass $line): stdClass => self::inAcres($line, $planter, $plan, $severity)),
        );
    }

    /** Adds what is left in metres and acres on the planter's own ground, and the day it comes to. */
    private static function inAcres(stdClass $line, Planter $planter, ?SeasonPlan $plan, float $severity): stdClass
    {
        foreach ([10, 50, 90] as $share) {
            $left = $line->{"left{$share}_m"} === null ? null : FurrowDistance::ofMetres((float) $line->{"left{$share}_m"} / $severity);
            $line->{"left{$share}_m"} = $left?->metres;
            $line->{"left{$share}_acres"} = $left?->toPlanterAcres(UseQuery::spacing($planter), $planter->row_count);
        }
        $days = $line->left50_acres === null || $plan === null ? null : $plan->dayOf($line->left50_acres);
        $line->due_on = $days === null || $planter->planting_start === null ? null : $planter->planting_start->addDays($days)->toDateString();

        return $line;
    }
}
