<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Bench\Seed\Lots;
use App\Http\Api\Schema;
use App\Season\PreparedSeason;
use App\Season\SeasonQuery;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\CropFills;
use Ustrel\Core\Season\Deadline;

final readonly class SeasonView extends Schema
{
    public function __construct(
        public int $season,
        public int $revision,
        public ?Day $planting_start,
        public ?Day $planting_end,
        /** Where they are not those of the fields */
        public ?float $planned_acres,
        public ?float $mph,
        public ?float $efficiency,
        public bool $counts_fills,
        public ?float $fill_minutes,
        public ?float $hours_a_day,
        public ?float $fit_share,
        public ?float $delay_price,
        public ?Day $delay_after,
        /** @var list<TankEdit> */
        public array $tanks,
        /** @var list<SeasonFieldEdit> */
        public array $fields,
        /** @var list<CountdownStep> */
        public array $ticked,
        /** @var list<OwnItemEdit> */
        public array $own_items,
        /** @var list<SeasonFieldEdit> Of the season before */
        public array $fields_before,
        /** @var array{mph: float, efficiency: float, turning: float, fill_minutes: float, hours_a_day: float, fit_share: float} What holds where nothing is said */
        public array $typical,
        /** Of the season; null where nobody knows */
        public ?float $acres,
        public float $done,
        public float $acres_an_hour,
        /** That a fit day brings, as pace, hours and the acres log have it */
        public float $acres_a_day,
        public int $days_logged,
        public float $width_ft,
        public ?FinishDaysView $finish,
        /** The chance to be done by the end of the window, 0 to 1 */
        public ?float $in_window,
        /** Of a stop that came now */
        public float $hour_cost,
        /**
         * By crop, in the order of the fields
         *
         * @var list<array{
         *     crop: string|null,
         *     of: float, // Acres of its fields
         *     acres: float, // Between two stops
         *     a_day: float, // Fills on a fit day
         *     first: string, // What runs out first
         *     short: float|null, // That it would have to hold more to last as long as the next
         *     unit: string,
         * }>
         */
        public array $fills,
        /** @var list<DeadlineView> */
        public array $countdown,
        /** @var list<string> What is to be known of it: worded under season_said */
        public array $said,
    ) {
    }

    /**
     * @param  list<Deadline>  $countdown
     * @param  array<string, list<string>>  $notes  what keeps a step open, in words, by step
     */
    public static function of(PreparedSeason $view, array $countdown, array $notes): self
    {
        $plan = $view->plan;
        $planter = $view->planter;
        $start = $planter->planting_start;
        $end = $start === null || $planter->planting_days === null ? null : $start->plusDays($planter->planting_days - 1);
        $number = static fn (?string $value): ?float => $value === null ? null : (float) $value;
        $sum = round((float) array_sum(array_column($plan->fields, 'acres')), 2);

        return new self(
            season: $planter->season(),
            revision: $plan->revision,
            planting_start: $start,
            planting_end: $end,
            planned_acres: $planter->planned_acres === null || (float) $planter->planned_acres === $sum ? null : (float) $planter->planned_acres,
            mph: $number($plan->mph),
            efficiency: $number($plan->efficiency),
            counts_fills: $plan->counts_fills,
            fill_minutes: $number($plan->fill_minutes),
            hours_a_day: $number($plan->hours_a_day),
            fit_share: $number($plan->fit_share),
            delay_price: $number($plan->delay_price),
            delay_after: $plan->delay_after,
            tanks: array_map(TankEdit::of(...), $plan->tanks),
            fields: array_map(SeasonFieldEdit::of(...), Lots::of($planter->workshop_id)->inFields($plan->fields)),
            ticked: array_map(CountdownStep::from(...), $plan->ticked),
            own_items: array_map(OwnItemEdit::of(...), $plan->own_items),
            fields_before: array_map(SeasonFieldEdit::of(...), $view->fieldsBefore),
            typical: ['mph' => SeasonQuery::MPH, 'efficiency' => SeasonQuery::EFFICIENCY, 'turning' => SeasonQuery::TURNING, 'fill_minutes' => SeasonQuery::FILL_MINUTES, 'hours_a_day' => SeasonQuery::HOURS_A_DAY, 'fit_share' => SeasonQuery::FIT_SHARE],
            acres: $view->acres,
            done: round($view->done, 1),
            acres_an_hour: round($view->pace->acresAnHour(), 2),
            acres_a_day: round($view->day->acres, 1),
            days_logged: $view->day->days,
            width_ft: round($view->feet, 2),
            finish: $view->days === null ? null : new FinishDaysView(self::finish($view, 0.1), self::finish($view, 0.5), self::finish($view, 0.9)),
            in_window: $view->days === null || $end === null ? null : round($view->days->within(1 + $view->from()->daysUntil($end)), 3),
            hour_cost: round($view->hourCost, 2),
            fills: array_values(array_filter(array_map(static fn (CropFills $of): ?array => self::fills($of, $view), $view->fills->crops))),
            countdown: array_map(static fn (Deadline $deadline): DeadlineView => DeadlineView::of($deadline, $view, $notes), $countdown),
            said: self::said($view),
        );
    }

    /** @return array{crop: string|null, of: float, acres: float, a_day: float, first: string, short: float|null, unit: string}|null null where nothing runs out */
    private static function fills(CropFills $of, PreparedSeason $view): ?array
    {
        $first = $of->fills->first();

        return $first === null ? null : [
            'crop' => $of->crop,
            'of' => round($of->acres, 1),
            'acres' => round($first->acresAFill(), 1),
            'a_day' => round($view->day->acres / $first->acresAFill(), 1),
            'first' => $first->name,
            'short' => $of->fills->short() === null ? null : round($of->fills->short(), 1),
            'unit' => array_column($view->plan->tanks, 'unit', 'name')[$first->name] ?? '',
        ];
    }

    private static function finish(PreparedSeason $view, float $chance): ?Day
    {
        $days = $view->days?->by($chance);

        return $days === null ? null : $view->from()->plusDays($days - 1);
    }

    /** @return list<string> */
    private static function said(PreparedSeason $view): array
    {
        $start = $view->planter->planting_start;

        return array_keys(array_filter([
            'no_start' => $start === null,
            'start_past' => $start !== null && $start->isBefore($view->planter->workshop->today()) && $view->done <= 0,
            'no_crew' => ! $view->crew->hasHours(),
            'no_acres' => $view->acres === null,
            'no_rate' => $view->planter->workshop->shop_rate === null,
        ]));
    }
}
