<?php

declare(strict_types=1);

namespace App\Season\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Tank;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

#[OA\Schema(schema: 'SeasonField', required: ['name', 'acres'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'crop', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'acres', description: 'Over 0 to 10,000', type: 'number'),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'tillage', type: 'string', enum: Tillage::class, nullable: true),
    new OA\Property(property: 'seed', description: 'Lot, or what is planted there otherwise', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'population', description: 'Seeds an acre', type: 'integer', maximum: 5000000, minimum: 100, nullable: true),
])]
#[OA\Schema(schema: 'Tank', description: 'A box or tank; what it holds and what an acre takes in one unit', required: ['name', 'holds', 'rate', 'unit'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 40),
    new OA\Property(property: 'holds', type: 'number'),
    new OA\Property(property: 'rate', type: 'number'),
    new OA\Property(property: 'unit', type: 'string', maxLength: 12),
    new OA\Property(property: 'crop', description: 'Of the season\'s fields, for which alone it runs; left out, for all', type: 'string', maxLength: 80, nullable: true),
])]
#[OA\Schema(schema: 'OwnItem', description: 'Of the countdown', required: ['id', 'title', 'due', 'done'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'title', type: 'string', maxLength: 120),
    new OA\Property(property: 'due', type: 'string', format: 'date'),
    new OA\Property(property: 'done', type: 'boolean'),
])]
#[OA\Schema(schema: 'SeasonEdit', description: 'The whole plan of a season; what is left out or null is as typical', required: ['revision'], properties: [
    new OA\Property(property: 'revision', description: 'Of the plan that was changed: with another one meanwhile nothing is overwritten', type: 'integer'),
    new OA\Property(property: 'planting_start', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'planting_end', description: 'The last day of the window', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'planned_acres', description: 'By default those of the fields, or of the last season', type: 'number', nullable: true),
    new OA\Property(property: 'mph', type: 'number', maximum: 30, nullable: true),
    new OA\Property(property: 'efficiency', description: 'Over 0 to 1: of the whole field, or of turning alone where fills are counted', type: 'number', nullable: true),
    new OA\Property(property: 'counts_fills', type: 'boolean'),
    new OA\Property(property: 'fill_minutes', type: 'number', nullable: true),
    new OA\Property(property: 'hours_a_day', type: 'number', nullable: true),
    new OA\Property(property: 'fit_share', description: 'Of days fit for fieldwork, over 0 to 1', type: 'number', nullable: true),
    new OA\Property(property: 'delay_price', description: 'Of an acre planted a day late, in the currency of the workshop', type: 'number', nullable: true),
    new OA\Property(property: 'delay_after', description: 'The last day that is not late', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'tanks', type: 'array', items: new OA\Items(ref: '#/components/schemas/Tank')),
    new OA\Property(property: 'fields', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeasonField')),
    new OA\Property(property: 'ticked', description: 'Steps of the countdown that somebody says are done', type: 'array', items: new OA\Items(type: 'string', enum: CountdownStep::class)),
    new OA\Property(property: 'own_items', type: 'array', items: new OA\Items(ref: '#/components/schemas/OwnItem')),
])]
final class SeasonRequest extends FormRequest
{
    /** What no record of the program tells; of parts it may, where the shop keeps its shelf and its orders. */
    public const BY_HAND = [CountdownStep::Seed, CountdownStep::SeedFits, CountdownStep::PartsOrdered, CountdownStep::PartsHere];

    private const LONGEST_WINDOW = 365;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $day = ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31'];
        $share = ['nullable', 'numeric:strict', 'gt:0', 'max:1', 'decimal:0,3'];

        return [
            'revision' => ['required', 'integer:strict', 'min:0'],
            'planting_start' => $day,
            'planting_end' => $day,
            'planned_acres' => ['nullable', 'numeric:strict', 'between:1,100000', 'decimal:0,1'],
            'mph' => ['nullable', 'numeric:strict', 'between:0.5,30', 'decimal:0,1'],
            'efficiency' => $share,
            'counts_fills' => ['boolean:strict'],
            'fill_minutes' => ['nullable', 'numeric:strict', 'between:0,240', 'decimal:0,1'],
            'hours_a_day' => ['nullable', 'numeric:strict', 'between:0.5,24', 'decimal:0,1'],
            'fit_share' => $share,
            'delay_price' => ['nullable', 'numeric:strict', 'between:0,100000', 'decimal:0,2'],
            'delay_after' => $day,
            'tanks' => ['list', 'max:12'],
            'tanks.*' => ['array:name,holds,rate,unit,crop'],
            'tanks.*.name' => ['required', 'string', 'max:40'],
            'tanks.*.holds' => ['required', 'numeric:strict', 'gt:0', 'max:1000000'],
            'tanks.*.rate' => ['required', 'numeric:strict', 'gt:0', 'max:1000000'],
            'tanks.*.unit' => ['required', 'string', 'max:12'],
            'tanks.*.crop' => ['nullable', 'string', 'max:80'],
            'fields' => ['list', 'max:500'],
            'fields.*' => ['array:'.implode(',', self::FIELD)],
            'fields.*.name' => ['required', 'string', 'max:80'],
            'fields.*.crop' => ['nullable', 'string', 'max:80'],
            'fields.*.acres' => ['required', 'numeric:strict', 'between:0.1,10000', 'decimal:0,1'],
            'fields.*.soil' => ['nullable', 'string', Rule::enum(Soil::class)],
            'fields.*.residue' => ['nullable', 'string', Rule::enum(Residue::class)],
            'fields.*.tillage' => ['nullable', 'string', Rule::enum(Tillage::class)],
            'fields.*.seed' => ['nullable', 'string', 'max:80'],
            'fields.*.population' => ['nullable', 'integer:strict', 'between:100,5000000'],
            'ticked' => ['list', 'max:20'],
            'ticked.*' => ['string', 'distinct', Rule::in(array_map(static fn (CountdownStep $step): string => $step->value, self::BY_HAND))],
            'own_items' => ['list', 'max:100'],
            'own_items.*' => ['array:id,title,due,done'],
            'own_items.*.id' => ['required', 'string', 'uuid', 'distinct'],
            'own_items.*.title' => ['required', 'string', 'max:120'],
            'own_items.*.due' => ['required', ...array_slice($day, 2)],
            'own_items.*.done' => ['required', 'boolean:strict'],
        ];
    }

    private const FIELD = ['name', 'crop', 'acres', 'soil', 'residue', 'tillage', 'seed', 'population'];

    /** @return array<string, string> */
    public function messages(): array
    {
        $of = ['revision', 'planting_start', 'planting_end', 'planned_acres', 'mph', 'efficiency', 'counts_fills', 'fill_minutes', 'hours_a_day', 'fit_share', 'delay_price', 'delay_after', 'tanks', 'fields', 'ticked', 'own_items'];
        $messages = [];
        foreach ($of as $field) {
            $messages["{$field}.*"] = __("season.{$field}");
        }
        foreach (['tanks', 'ticked', 'own_items'] as $list) {
            $messages["{$list}.*.*"] = $messages["{$list}.*.*.*"] = __("season.{$list}");
        }
        foreach (self::FIELD as $name) {
            $messages["fields.*.{$name}.*"] = __("season.field_{$name}");
        }

        return $messages;
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $start = $this->day('planting_start');
            $end = $this->day('planting_end');
            $days = $start === null || $end === null ? null : $start->daysUntil($end);
            match (true) {
                $end !== null && $start === null => $validator->errors()->add('planting_start', __('season.end_without_start')),
                $days !== null && $days < 0 => $validator->errors()->add('planting_end', __('season.window', ['start' => $this->string('planting_start')->toString(), 'end' => $this->string('planting_end')->toString()])),
                $days !== null && $days >= self::LONGEST_WINDOW => $validator->errors()->add('planting_end', __('season.window_long')),
                default => null,
            };
            $sum = round(array_sum(array_column($this->array('fields'), 'acres')), 1);
            if ($this->filled('planned_acres') && $sum > $this->float('planned_acres')) {
                $validator->errors()->add('planned_acres', __('season.over_plan', ['fields' => (string) $sum, 'plan' => (string) $this->float('planned_acres')]));
            }
            if ($this->boolean('counts_fills') && $this->array('tanks') === []) {
                $validator->errors()->add('tanks', __('season.no_tank'));
            }
            $crops = array_filter(array_map(Tank::plain(...), array_column($this->array('fields'), 'crop')));
            foreach ($this->array('tanks') as $tank) {
                if ($crops !== [] && Tank::plain($tank['crop'] ?? null) !== '' && ! in_array(Tank::plain($tank['crop']), $crops, true)) {
                    $validator->errors()->add('tanks', __('season.tank_crop', ['crop' => $tank['crop'], 'crops' => implode(', ', array_unique($crops))]));
                }
            }
        }];
    }

    /** @return array<string, mixed> columns of the plan */
    public function plan(): array
    {
        $number = fn (string $field, int $places): ?string => $this->filled($field) ? number_format($this->float($field), $places, '.', '') : null;

        return [
            'mph' => $number('mph', 1),
            'efficiency' => $number('efficiency', 3),
            'counts_fills' => $this->boolean('counts_fills'),
            'fill_minutes' => $number('fill_minutes', 1),
            'hours_a_day' => $number('hours_a_day', 1),
            'fit_share' => $number('fit_share', 3),
            'delay_price' => $number('delay_price', 2),
            'delay_after' => $this->day('delay_after'),
            'tanks' => array_map(static fn (array $tank): array => ['name' => trim($tank['name']), 'holds' => (float) $tank['holds'], 'rate' => (float) $tank['rate'], 'unit' => trim($tank['unit']), 'crop' => trim((string) ($tank['crop'] ?? '')) ?: null], $this->array('tanks')),
            'fields' => array_map(static fn (array $field): array => array_merge(array_fill_keys(self::FIELD, null), $field), $this->array('fields')),
            'ticked' => $this->array('ticked'),
            'own_items' => $this->array('own_items'),
        ];
    }

    /** @return array<string, mixed> columns of the planter */
    public function ofPlanter(): array
    {
        $start = $this->day('planting_start');
        $end = $this->day('planting_end');

        return [
            'planting_start' => $start,
            'planting_days' => $start === null || $end === null ? null : 1 + $start->daysUntil($end),
            'planned_acres' => match (true) {
                $this->filled('planned_acres') => number_format($this->float('planned_acres'), 1, '.', ''),
                $this->array('fields') !== [] => number_format((float) array_sum(array_column($this->array('fields'), 'acres')), 1, '.', ''),
                default => null,
            },
        ];
    }

    private function day(string $field): ?Day
    {
        return $this->filled($field) ? Day::of($this->string($field)->toString()) : null;
    }
}
