<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Crew;
use Ustrel\Core\Season\DaysToPlant;
use Ustrel\Core\Season\FieldPace;
use Ustrel\Core\Season\PlantingDay;
use Ustrel\Core\Season\PriceOfDelay;
use Ustrel\Core\Season\SeasonFills;
use Ustrel\Core\Season\Tank;

/** Reads what a season is to bring for a planter, and what follows from it. */
final readonly class SeasonQuery
{
    /** Typical values, until the shop or its record says otherwise. */
    public const MPH = 5.0;

    public const EFFICIENCY = 0.65;

    public const TURNING = 0.85;

    public const FILL_MINUTES = 12.0;

    public const HOURS_A_DAY = 10.0;

    public const FIT_SHARE = 0.6;

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function of(Planter $planter): PreparedSeason
    {
        $plan = self::plan($planter);
        $record = new WearRecord($planter);
        $acres = $record->plannedAcres() ?? self::acresOf($plan);
        $done = $record->planted()->in($planter->season());
        $pace = self::pace($planter, $plan);
        $logged = self::loggedDays($planter);
        $day = PlantingDay::of($pace->acresAnHour() * self::hours($plan), $logged);
        $left = $acres === null ? null : max(0.0, $acres - $done);
        $days = $left === null || $left <= 0 ? null : DaysToPlant::of($left, $day->acres, self::fit($plan), $day->sd);

        return new PreparedSeason($planter, $plan, self::fieldsBefore($planter), $acres, $done, $pace, self::fills($plan), $day, $days, $this->delay($planter)->anHour($done), Crew::of(array_column($planter->workshop->crew, 'hours')), FieldPace::feet($planter->spacing(), $planter->row_count));
    }

    /** The plan of the season that is being prepared, kept or not. */
    public static function plan(Planter $planter): SeasonPlan
    {
        return SeasonPlan::query()->firstOrNew(['planter_id' => $planter->id, 'season' => $planter->season()]);
    }

    /** What an hour's stop costs: what it makes late, and who waits. */
    public function delay(Planter $planter): DelayCost
    {
        $plan = self::plan($planter);
        $day = PlantingDay::of(self::pace($planter, $plan)->acresAnHour() * self::hours($plan), self::loggedDays($planter));
        $price = $plan->delay_price === null || $planter->planting_start === null ? null : new PriceOfDelay(
            (float) $plan->delay_price,
            $plan->delay_after === null ? 0 : max(0, 1 + $planter->planting_start->daysUntil($plan->delay_after)),
        );

        return new DelayCost((float) $planter->workshop->shop_rate, $price, (new WearRecord($planter))->plannedAcres() ?? self::acresOf($plan), $day->acres * self::fit($plan), self::hours($plan));
    }

    /** Acres of its fields; null without any. */
    private static function acresOf(SeasonPlan $plan): ?float
    {
        $acres = array_sum(array_column($plan->fields, 'acres'));

        return $acres > 0 ? (float) $acres : null;
    }

    public static function hours(SeasonPlan $plan): float
    {
        return $plan->hours_a_day === null ? self::HOURS_A_DAY : (float) $plan->hours_a_day;
    }

    public static function fit(SeasonPlan $plan): float
    {
        return $plan->fit_share === null ? self::FIT_SHARE : (float) $plan->fit_share;
    }

    /** As it is planned, or typical. */
    public static function acresAnHour(Planter $planter): float
    {
        return self::pace($planter, self::plan($planter))->acresAnHour();
    }

    private static function pace(Planter $planter, SeasonPlan $plan): FieldPace
    {
        $mph = $plan->mph === null ? self::MPH : (float) $plan->mph;
        $feet = FieldPace::feet($planter->spacing(), $planter->row_count);
        $aFill = self::fills($plan)->acresAFill();

        return $plan->counts_fills && $aFill !== null
            ? FieldPace::ofTurning($mph, $feet, $plan->efficiency === null ? self::TURNING : (float) $plan->efficiency, $plan->fill_minutes === null ? self::FILL_MINUTES : (float) $plan->fill_minutes, $aFill)
            : FieldPace::ofField($mph, $feet, $plan->efficiency === null ? self::EFFICIENCY : (float) $plan->efficiency);
    }

    private static function fills(SeasonPlan $plan): SeasonFills
    {
        return SeasonFills::of(
            array_map(static fn (array $tank): Tank => new Tank($tank['name'], $tank['holds'], $tank['rate'], $tank['crop'] ?? null), $plan->tanks),
            array_map(static fn (array $field): array => ['crop' => $field['crop'], 'acres' => (float) $field['acres']], $plan->fields),
        );
    }

    /** @return list<float> acres of each day on which it planted */
    private static function loggedDays(Planter $planter): array
    {
        return array_values(array_map(floatval(...), AcresEntry::current($planter->id)->planted()->groupBy('day')->orderBy('day')->toBase()->selectRaw('sum(acres) AS acres')->pluck('acres')->all()));
    }

    /**
     * The fields of the season before: as they were planned, or else as they were logged.
     *
     * @return list<array<string, mixed>>
     */
    private static function fieldsBefore(Planter $planter): array
    {
        $planned = SeasonPlan::query()->where('planter_id', $planter->id)->where('season', '<', $planter->season())->whereRaw("fields <> '[]'")->orderByDesc('season')->first();
        if ($planned !== null) {
            return $planned->fields;
        }
        $seasons = $planter->seasons();
        $newest = AcresEntry::current($planter->id)->planted()->where('day', '<', $seasons->begins($planter->season())->iso)->max('day');
        if ($newest === null) {
            return [];
        }
        $from = $seasons->begins($seasons->of(Day::of((string) $newest)))->iso;

        return array_values(AcresEntry::current($planter->id)->planted()->whereBetween('day', [$from, $newest])
            ->groupBy('field', 'crop')->orderByRaw('min(day), field')->toBase()
            ->selectRaw('field, crop, sum(acres) AS acres, min(soil) AS soil, min(residue) AS residue, min(tillage) AS tillage')
            ->get()
            ->map(static fn (object $line): array => [
                'name' => $line->field, 'crop' => $line->crop, 'acres' => round((float) $line->acres, 2), 'soil' => $line->soil, 'residue' => $line->residue, 'tillage' => $line->tillage, 'seed' => null, 'seed_lot_id' => null, 'population' => null,
            ])->all());
    }
}
