<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Tank;

/** The whole plan of a season; what is left out or null is as typical. */
final readonly class SeasonEdit extends Input
{
    /** What no record of the program tells; of parts it may, where the shop keeps its shelf and its orders. */
    public const BY_HAND = [CountdownStep::Seed, CountdownStep::SeedFits, CountdownStep::PartsOrdered, CountdownStep::PartsHere];

    private const LONGEST_WINDOW = 365;

    public function __construct(
        /** Of the plan that was changed: with another one meanwhile nothing is overwritten */
        #[Field('season.revision', 'min:0')] public int $revision,
        #[Field('season.planting_start', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31')] public ?Day $planting_start = null,
        /** The last day of the window */
        #[Field('season.planting_end', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31')] public ?Day $planting_end = null,
        /** By default those of the fields, or of the last season */
        #[Field('season.planned_acres', 'between:0.01,100000', 'decimal:0,2')] public ?float $planned_acres = null,
        #[Field('season.mph', 'between:0.5,30', 'decimal:0,1')] public ?float $mph = null,
        /** Over 0 to 1: of the whole field, or of turning alone where fills are counted */
        #[Field('season.efficiency', 'gt:0', 'max:1', 'decimal:0,3')] public ?float $efficiency = null,
        #[Field('season.counts_fills')] public bool $counts_fills = false,
        #[Field('season.fill_minutes', 'between:0,240', 'decimal:0,1')] public ?float $fill_minutes = null,
        #[Field('season.hours_a_day', 'between:0.5,24', 'decimal:0,1')] public ?float $hours_a_day = null,
        /** Of days fit for fieldwork, over 0 to 1 */
        #[Field('season.fit_share', 'gt:0', 'max:1', 'decimal:0,3')] public ?float $fit_share = null,
        /** Of an acre planted a day late, in the currency of the workshop */
        #[Field('season.delay_price', 'between:0,100000', 'decimal:0,2')] public ?float $delay_price = null,
        /** The last day that is not late */
        #[Field('season.delay_after', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31')] public ?Day $delay_after = null,
        /** @var list<TankEdit> */
        #[Field('season.tanks', 'max:12')] public array $tanks = [],
        /** @var list<SeasonFieldEdit> */
        #[Field('season.fields', 'max:500')] public array $fields = [],
        /** @var list<CountdownStep> Steps of the countdown that somebody says are done */
        #[Field('season.ticked', 'max:20')] public array $ticked = [],
        /** @var list<OwnItemEdit> */
        #[Field('season.own_items', 'max:100')] public array $own_items = [],
    ) {
    }

    /** @return array<string, mixed> columns of the plan */
    public function columns(): array
    {
        return ['fields' => array_map(static fn (SeasonFieldEdit $field): array => $field->jsonSerialize(), $this->fields)] + array_diff_key(parent::columns(), $this->ofPlanter() + ['planting_end' => null]);
    }

    /** @return array{planting_start: Day|null, planting_days: int|null, planned_acres: string|null} columns of the planter */
    public function ofPlanter(): array
    {
        return [
            'planting_start' => $this->planting_start,
            'planting_days' => $this->planting_start === null || $this->planting_end === null ? null : 1 + $this->planting_start->daysUntil($this->planting_end),
            'planned_acres' => $this->planned_acres === null && $this->fields === [] ? null : number_format($this->planned_acres ?? $this->acres(), 2, '.', ''),
        ];
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        $wrong = static fn (string $field, string $code, array $with = []): mixed => $checked->errors()->add($field, __("season.{$code}", $with));
        $workshop = $request->user()->workshop ?? throw new AuthenticationException;
        $say = $workshop->sayDay(...);
        [$start, $end] = [$input->planting_start, $input->planting_end];
        $days = $start === null || $end === null ? null : $start->daysUntil($end);
        match (true) {
            $end !== null && $start === null => $wrong('planting_start', 'end_without_start'),
            $days !== null && $days < 0 => $wrong('planting_end', 'window', ['start' => $say($start), 'end' => $say($end)]),
            $days !== null && $days >= self::LONGEST_WINDOW => $wrong('planting_end', 'window_long'),
            default => null,
        };
        if ($input->planned_acres !== null && $input->acres() > $input->planned_acres) {
            $wrong('planned_acres', 'over_plan', ['fields' => (string) $input->acres(), 'plan' => (string) $input->planned_acres]);
        }
        if ($input->counts_fills && $input->tanks === []) {
            $wrong('tanks', 'no_tank');
        }
        if (count(array_unique(array_column($input->own_items, 'id'))) < count($input->own_items)) {
            $wrong('own_items', 'own_items');
        }
        if (array_udiff($input->ticked, self::BY_HAND, static fn (CountdownStep $one, CountdownStep $other): int => $one->value <=> $other->value) !== [] || $input->ticked !== array_unique($input->ticked, SORT_REGULAR)) {
            $wrong('ticked', 'ticked');
        }
        $crops = array_filter(array_map(Tank::plain(...), array_column($input->fields, 'crop')));
        foreach ($input->tanks as $tank) {
            if ($crops !== [] && Tank::plain($tank->crop) !== '' && ! in_array(Tank::plain($tank->crop), $crops, true)) {
                $wrong('tanks', 'tank_crop', ['crop' => $tank->crop, 'crops' => implode(', ', array_unique($crops))]);
            }
        }
    }

    private function acres(): float
    {
        return round((float) array_sum(array_column($this->fields, 'acres')), 2);
    }
}
