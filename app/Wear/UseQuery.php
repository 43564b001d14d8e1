<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Plan\SeasonPlan;
use Ustrel\Core\Wear\FieldRun;
use Ustrel\Core\Wear\UseLog;

/** Reads the acres of a planter. A line that was superseded, or taken back, is left out. */
final class UseQuery
{
    /** Planting may begin so much earlier than planned. */
    private const DAYS_BEFORE_PLANTING = 60;

    /** The lines that hold. */
    public static function lines(Planter $planter): Builder
    {
        return DB::table('acres_log')
            ->where('acres_log.planter_id', $planter->id)
            ->where('acres_log.withdrawn', false)
            ->whereNotIn('acres_log.id', static fn (Builder $later): Builder => $later->from('acres_log AS later')->where('later.planter_id', $planter->id)->whereNotNull('later.supersedes')->select('later.supersedes'));
    }

    public function log(Planter $planter): UseLog
    {
        // A season's fields may be many; core needs their sum for each day and sharing.
        $days = self::lines($planter)
            ->groupBy('day', 'shares')
            ->selectRaw('day, shares, sum(acres) AS acres, sum(acres * severity) / sum(acres) AS severity')
            ->get();
        $runs = $days->map(static fn (stdClass $day): FieldRun => new FieldRun(
            $day->day, (float) $day->acres, (float) $day->severity, array_map(floatval(...), json_decode($day->shares, true)),
        ));

        return UseLog::of($runs, self::spacing($planter), $planter->row_count);
    }

    public static function spacing(Planter $planter): Length
    {
        return Length::ofMillimetres($planter->spacing_mm);
    }

    /**
     * The season of a day, for a query: it begins two months before planting is planned to, in whichever year it then is.
     * Without a date of planting it is the calendar year.
     */
    public static function season(Planter $planter): string
    {
        $start = $planter->planting_start;
        $shift = $start === null ? 0 : (int) $start->subDays(self::DAYS_BEFORE_PLANTING)->diffInDays($start->startOfYear());

        return "extract(year from day + ({$shift}))::int";
    }

    /** @param  string|null  $before  only days before this one */
    public function acresOf(Planter $planter, int $season, ?string $before = null): float
    {
        return (float) self::lines($planter)
            ->whereRaw(self::season($planter).' = ?', [$season])
            ->when($before !== null, static fn (Builder $lines): Builder => $lines->where('day', '<', $before))
            ->sum('acres');
    }

    /** What a season is to bring: as planned, or else as much as the last season that was logged; null where nothing is known. */
    public function plannedAcres(Planter $planter): ?float
    {
        if ($planter->planned_acres !== null) {
            return (float) $planter->planned_acres;
        }
        $last = self::lines($planter)
            ->whereRaw(self::season($planter).' < ?', [$planter->season()])
            ->groupByRaw(self::season($planter))
            ->orderByRaw(self::season($planter).' DESC')
            ->selectRaw('sum(acres) AS acres')
            ->first();

        return $last === null ? null : (float) $last->acres;
    }

    /** How hard this planter's ground has been on the whole; 1 where nothing was logged. */
    public static function severity(UseLog $log): float
    {
        $total = $log->total(1);

        return $total->metres > 0 ? $total->effective / $total->metres : 1.0;
    }

    /** @param  CarbonImmutable|null  $asOf  what was planted from this day on is still to come; by default all that is logged is done */
    public function plan(Planter $planter, UseLog $log, ?float $acres, int $season, ?CarbonImmutable $asOf = null): ?SeasonPlan
    {
        if ($acres === null || $acres <= 0) {
            return null;
        }
        $done = $this->acresOf($planter, $season, $asOf?->toDateString());

        return new SeasonPlan(
            $acres, $done, $planter->planting_days, self::spacing($planter), $planter->row_count, self::severity($log),
        );
    }
}
