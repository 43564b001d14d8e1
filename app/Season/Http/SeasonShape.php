<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Bench\Seed\Lots;
use App\Season\SeasonQuery;
use App\Season\SeasonView;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\CropFills;
use Ustrel\Core\Season\Deadline;

#[OA\Schema(schema: 'Deadline', required: ['key', 'title', 'due', 'latest_start', 'done', 'late', 'by_hand', 'said'], properties: [
    new OA\Property(property: 'said', description: 'What keeps it open, in words', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'key', description: 'A step of the job, or the id of an own item', type: 'string'),
    new OA\Property(property: 'title', description: 'Of an own item', type: 'string', nullable: true),
    new OA\Property(property: 'due', type: 'string', format: 'date'),
    new OA\Property(property: 'latest_start', description: 'Null where nobody has hours for it', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'done', type: 'boolean'),
    new OA\Property(property: 'late', type: 'boolean'),
    new OA\Property(property: 'by_hand', description: 'No record tells: somebody says that it is done', type: 'boolean'),
])]
#[OA\Schema(schema: 'FinishDays', description: 'The day by whose end planting is done: with one chance in ten, with an even one, with nine in ten', required: ['p10', 'p50', 'p90'], properties: [
    new OA\Property(property: 'p10', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'p50', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'p90', type: 'string', format: 'date', nullable: true),
])]
#[OA\Schema(schema: 'Season', required: ['season', 'revision', 'planting_start', 'planting_end', 'planned_acres', 'mph', 'efficiency', 'counts_fills', 'fill_minutes', 'hours_a_day', 'fit_share', 'delay_price', 'delay_after', 'tanks', 'fields', 'ticked', 'own_items', 'fields_before', 'typical', 'acres', 'done', 'acres_an_hour', 'acres_a_day', 'days_logged', 'width_ft', 'finish', 'in_window', 'hour_cost', 'fills', 'countdown', 'said'], properties: [
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'planting_start', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'planting_end', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'planned_acres', description: 'Where they are not those of the fields', type: 'number', nullable: true),
    new OA\Property(property: 'mph', type: 'number', nullable: true),
    new OA\Property(property: 'efficiency', type: 'number', nullable: true),
    new OA\Property(property: 'counts_fills', type: 'boolean'),
    new OA\Property(property: 'fill_minutes', type: 'number', nullable: true),
    new OA\Property(property: 'hours_a_day', type: 'number', nullable: true),
    new OA\Property(property: 'fit_share', type: 'number', nullable: true),
    new OA\Property(property: 'delay_price', type: 'number', nullable: true),
    new OA\Property(property: 'delay_after', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'tanks', type: 'array', items: new OA\Items(ref: '#/components/schemas/Tank')),
    new OA\Property(property: 'fields', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeasonField')),
    new OA\Property(property: 'ticked', type: 'array', items: new OA\Items(type: 'string', enum: CountdownStep::class)),
    new OA\Property(property: 'own_items', type: 'array', items: new OA\Items(ref: '#/components/schemas/OwnItem')),
    new OA\Property(property: 'fields_before', description: 'Of the season before', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeasonField')),
    new OA\Property(property: 'typical', description: 'What holds where nothing is said', required: ['mph', 'efficiency', 'turning', 'fill_minutes', 'hours_a_day', 'fit_share'], properties: [
        new OA\Property(property: 'mph', type: 'number'),
        new OA\Property(property: 'efficiency', type: 'number'),
        new OA\Property(property: 'turning', type: 'number'),
        new OA\Property(property: 'fill_minutes', type: 'number'),
        new OA\Property(property: 'hours_a_day', type: 'number'),
        new OA\Property(property: 'fit_share', type: 'number'),
    ], type: 'object'),
    new OA\Property(property: 'acres', description: 'Of the season; null where nobody knows', type: 'number', nullable: true),
    new OA\Property(property: 'done', type: 'number'),
    new OA\Property(property: 'acres_an_hour', type: 'number'),
    new OA\Property(property: 'acres_a_day', description: 'That a fit day brings, as pace, hours and the acres log have it', type: 'number'),
    new OA\Property(property: 'days_logged', type: 'integer'),
    new OA\Property(property: 'width_ft', type: 'number'),
    new OA\Property(property: 'finish', ref: '#/components/schemas/FinishDays', nullable: true),
    new OA\Property(property: 'in_window', description: 'The chance to be done by the end of the window, 0 to 1', type: 'number', nullable: true),
    new OA\Property(property: 'hour_cost', description: 'Of a stop that came now', type: 'number'),
    new OA\Property(property: 'fills', description: 'By crop, in the order of the fields', type: 'array', items: new OA\Items(required: ['crop', 'of', 'acres', 'a_day', 'first', 'short', 'unit'], properties: [
        new OA\Property(property: 'crop', type: 'string', nullable: true),
        new OA\Property(property: 'of', description: 'Acres of its fields', type: 'number'),
        new OA\Property(property: 'acres', description: 'Between two stops', type: 'number'),
        new OA\Property(property: 'a_day', description: 'Fills on a fit day', type: 'number'),
        new OA\Property(property: 'first', description: 'What runs out first', type: 'string'),
        new OA\Property(property: 'short', description: 'That it would have to hold more to last as long as the next', type: 'number', nullable: true),
        new OA\Property(property: 'unit', type: 'string'),
    ], type: 'object')),
    new OA\Property(property: 'countdown', type: 'array', items: new OA\Items(ref: '#/components/schemas/Deadline')),
    new OA\Property(property: 'said', description: 'What is to be known of it: worded under season_said', type: 'array', items: new OA\Items(type: 'string')),
])]
final class SeasonShape
{
    /**
     * @param  list<Deadline>  $countdown
     * @param  array<string, list<string>>  $notes  what keeps a step open, in words, by step
     * @return array<string, mixed>
     */
    public static function of(SeasonView $view, array $countdown, array $notes): array
    {
        $plan = $view->plan;
        $planter = $view->planter;
        $start = $planter->planting_start;
        $end = $start === null || $planter->planting_days === null ? null : $start->plusDays($planter->planting_days - 1);
        $number = static fn (?string $value): ?float => $value === null ? null : (float) $value;
        $sum = round((float) array_sum(array_column($plan->fields, 'acres')), 1);

        return [
            'season' => $planter->season(),
            'revision' => $plan->revision,
            'planting_start' => $start?->iso,
            'planting_end' => $end?->iso,
            'planned_acres' => $planter->planned_acres === null || (float) $planter->planned_acres === $sum ? null : (float) $planter->planned_acres,
            'mph' => $number($plan->mph),
            'efficiency' => $number($plan->efficiency),
            'counts_fills' => $plan->counts_fills,
            'fill_minutes' => $number($plan->fill_minutes),
            'hours_a_day' => $number($plan->hours_a_day),
            'fit_share' => $number($plan->fit_share),
            'delay_price' => $number($plan->delay_price),
            'delay_after' => $plan->delay_after?->iso,
            'tanks' => $plan->tanks,
            'fields' => array_map(static fn (array $field): array => array_diff_key($field, ['seed_lot_id' => 1]), Lots::of($planter->workshop_id)->inFields($plan->fields)),
            'ticked' => $plan->ticked,
            'own_items' => $plan->own_items,
            'fields_before' => $view->fieldsBefore,
            'typical' => ['mph' => SeasonQuery::MPH, 'efficiency' => SeasonQuery::EFFICIENCY, 'turning' => SeasonQuery::TURNING, 'fill_minutes' => SeasonQuery::FILL_MINUTES, 'hours_a_day' => SeasonQuery::HOURS_A_DAY, 'fit_share' => SeasonQuery::FIT_SHARE],
            'acres' => $view->acres,
            'done' => round($view->done, 1),
            'acres_an_hour' => round($view->pace->acresAnHour(), 2),
            'acres_a_day' => round($view->day->acres, 1),
            'days_logged' => $view->day->days,
            'width_ft' => round($view->feet, 2),
            'finish' => $view->days === null ? null : array_map(static fn (float $chance): ?string => self::finish($view, $chance)?->iso, ['p10' => 0.1, 'p50' => 0.5, 'p90' => 0.9]),
            'in_window' => $view->days === null || $end === null ? null : round($view->days->within(1 + $view->from()->daysUntil($end)), 3),
            'hour_cost' => round($view->hourCost, 2),
            'fills' => array_values(array_filter(array_map(static fn (CropFills $of): ?array => self::fills($of, $view), $view->fills->crops))),
            'countdown' => array_map(static fn (Deadline $deadline): array => self::deadline($deadline, $view, $notes), $countdown),
            'said' => self::said($view),
        ];
    }

    /** @return array<string, mixed>|null null where nothing runs out */
    private static function fills(CropFills $of, SeasonView $view): ?array
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

    private static function finish(SeasonView $view, float $chance): ?Day
    {
        $days = $view->days?->by($chance);

        return $days === null ? null : $view->from()->plusDays($days - 1);
    }

    /**
     * @param  array<string, list<string>>  $notes
     * @return array<string, mixed>
     */
    private static function deadline(Deadline $deadline, SeasonView $view, array $notes): array
    {
        $step = CountdownStep::tryFrom($deadline->key);

        return [
            'key' => $deadline->key,
            'title' => $step === null ? array_column($view->plan->own_items, 'title', 'id')[$deadline->key] ?? '' : null,
            'due' => $deadline->due->iso,
            'latest_start' => $deadline->latestStart?->iso,
            'done' => $deadline->isDone,
            'late' => $deadline->isLate,
            'by_hand' => $deadline->isByHand,
            'said' => $deadline->isDone ? [] : $notes[$deadline->key] ?? [],
        ];
    }

    /** @return list<string> */
    private static function said(SeasonView $view): array
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
