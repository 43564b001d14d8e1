<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Models\PaperSize;
use App\Yard\Currency;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Plan\Policy\InvalidPolicy;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\ReadingError;

#[OA\Schema(schema: 'OwnFactors', description: 'By case', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number', maximum: 2, minimum: 0.5))]
#[OA\Schema(schema: 'WorkshopEdit', description: 'What is left out stays', properties: [
    new OA\Property(property: 'watch_chance', type: 'number', maximum: 0.95, minimum: 0.01),
    new OA\Property(property: 'time_zone', type: 'string'),
    new OA\Property(property: 'depth_school', type: 'string', enum: DepthStrategy::class),
    new OA\Property(property: 'meter_school', type: 'string', enum: MeterStrategy::class),
    new OA\Property(property: 'ground_factors', description: 'All that the shop sets itself, by kind and case; what is not among them goes by the typical value', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/OwnFactors')),
    new OA\Property(property: 'measuring_sd', description: 'All that the shop sets itself, millimetres by check; what is not among them is learned', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number', maximum: 10, minimum: 0.3)),
    new OA\Property(property: 'currency', description: 'ISO 4217', type: 'string'),
    new OA\Property(property: 'paper', type: 'string', enum: PaperSize::class),
    new OA\Property(property: 'number_style', description: 'How the workshop writes numbers: 1,234.5 or 1.234,5; null where nobody said', type: 'string', enum: NumberStyle::class, nullable: true),
    new OA\Property(property: 'shop_rate', description: 'Of an hour\'s work, in the currency', type: 'number', nullable: true),
    new OA\Property(property: 'stop_cost', description: 'Of a stop in season, whatever is done in it', type: 'number', nullable: true),
    new OA\Property(property: 'depth_cost', description: 'Of an acre planted a quarter of an inch too shallow', type: 'number', nullable: true),
    new OA\Property(property: 'stop_hours', description: 'That the planter stands in a stop besides the work', type: 'number', nullable: true),
    new OA\Property(property: 'service_stops', description: 'A season that worn parts wait for; 0 where each stops the planter at once', type: 'integer', maximum: 6, minimum: 0),
    new OA\Property(property: 'crew', description: 'Who works, with hours by day of the week, 1 for Monday', type: 'array', items: new OA\Items(ref: '#/components/schemas/CrewMember')),
    new OA\Property(property: 'seen', description: 'Versions of what is set, as they were looked at: where another one stands nothing is overwritten', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string', maxLength: 16)),
    new OA\Property(property: 'own_policy', description: 'The shop\'s own rule for each kind of slot', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/SlotRule')),
])]
final class WorkshopRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rules = [
            'watch_chance' => ['sometimes', 'required', 'numeric:strict', 'between:0.01,0.95', 'decimal:0,3'],
            'time_zone' => ['sometimes', 'required', 'string', 'timezone:all'],
            'depth_school' => ['sometimes', 'required', 'string', Rule::enum(DepthStrategy::class)],
            'meter_school' => ['sometimes', 'required', 'string', Rule::enum(MeterStrategy::class)],
            'ground_factors' => ['sometimes', 'array:'.implode(',', array_keys(GroundFactors::kinds()))],
            'ground_factors.*.*' => ['numeric:strict', 'between:'.Ground::MILDEST.','.Ground::HARSHEST, 'decimal:0,2'],
            'measuring_sd' => ['sometimes', 'array:'.implode(',', array_map(static fn (CheckKey $check): string => $check->value, ReadingError::checks()))],
            'measuring_sd.*' => ['numeric:strict', 'between:'.ReadingError::LEAST_SD.','.ReadingError::MOST_SD, 'decimal:0,2'],
        ];
        $money = ['nullable', 'numeric:strict', 'between:0,100000', 'decimal:0,2'];
        $rules += [
            'currency' => ['sometimes', 'required', 'string', new Currency],
            'number_style' => ['sometimes', 'nullable', 'string', Rule::enum(NumberStyle::class)],
            'paper' => ['sometimes', 'required', 'string', Rule::enum(PaperSize::class)],
            'shop_rate' => $money,
            'stop_cost' => $money,
            'depth_cost' => $money,
            'stop_hours' => ['nullable', 'numeric:strict', 'between:0,100', 'decimal:0,2'],
            'service_stops' => ['sometimes', 'required', 'integer:strict', 'between:0,6'],
            'crew' => ['sometimes', 'list', 'max:50'],
            'crew.*' => ['array:name,hours'],
            'crew.*.name' => ['required', 'string', 'max:80'],
            'crew.*.hours' => ['required', 'list', 'size:7'],
            'crew.*.hours.*' => ['numeric:strict', 'between:0,24'],
            'own_policy' => ['sometimes', 'array', $this->policyRule(...)],
            'seen' => ['sometimes', 'array'],
            'seen.*' => ['string', 'max:16'],
        ];
        foreach (GroundFactors::kinds() as $kind => $cases) {
            $rules["ground_factors.{$kind}"] = ['sometimes', 'array:'.implode(',', array_column($cases, 'value'))];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'watch_chance.*' => __('error.watch_chance'),
            'time_zone.*' => __('error.time_zone'),
            'depth_school' => __('error.depth_school'),
            'meter_school' => __('error.meter_school'),
            'ground_factors.array' => __('error.ground_kinds'),
            'ground_factors.*.array' => __('error.ground_kinds'),
            'ground_factors.*.*' => __('error.ground_factor', ['least' => Ground::MILDEST, 'most' => Ground::HARSHEST]),
            'number_style' => __('error.number_style'),
            'paper' => __('error.paper'),
            'shop_rate.*' => __('error.money'),
            'stop_cost.*' => __('error.money'),
            'depth_cost.*' => __('error.money'),
            'stop_hours.*' => __('error.stop_hours'),
            'service_stops.*' => __('error.service_stops'),
            'crew.*' => __('error.crew'),
            'crew.*.*' => __('error.crew'),
            'crew.*.*.*' => __('error.crew'),
            'measuring_sd.array' => __('error.measuring_checks'),
            'measuring_sd.*' => __('error.measuring_sd', ['least' => ReadingError::LEAST_SD, 'most' => ReadingError::MOST_SD]),
        ];
    }

    /** @return array<string, mixed> of the workshop, only what is to be set */
    public function columns(): array
    {
        $given = $this->validated();
        $columns = array_intersect_key($given, ['time_zone' => 1, 'depth_school' => 1, 'meter_school' => 1, 'currency' => 1, 'number_style' => 1, 'paper' => 1, 'service_stops' => 1]);
        if (isset($given['watch_chance'])) {
            $columns['watch_chance'] = number_format((float) $given['watch_chance'], 3, '.', '');
        }
        foreach (['shop_rate', 'stop_cost', 'depth_cost', 'stop_hours'] as $figure) {
            if (array_key_exists($figure, $given)) {
                $columns[$figure] = $given[$figure] === null ? null : number_format((float) $given[$figure], 2, '.', '');
            }
        }
        if ($this->has('crew')) {
            $columns['crew'] = array_map(static fn (array $one): array => ['name' => trim($one['name']), 'hours' => array_combine(range(1, 7), array_map(floatval(...), $one['hours']))], $given['crew']);
        }
        if ($this->has('own_policy')) {
            $columns['own_policy'] = $given['own_policy'] === [] ? [] : Policy::ownOf($given['own_policy'])->toArray();
        }
        if ($this->has('ground_factors')) {
            $columns['ground_factors'] = array_filter($given['ground_factors']);
        }
        if ($this->has('measuring_sd')) {
            $columns['own_sd'] = $given['measuring_sd'];
        }

        return $columns;
    }

    /** @return array<string, string> versions by column */
    public function seen(): array
    {
        $seen = $this->validated('seen', []);

        return isset($seen['measuring_sd']) ? ['own_sd' => $seen['measuring_sd']] + $seen : $seen;
    }

    /** A policy is read by core, which knows what is none. */
    private function policyRule(string $field, mixed $value, Closure $fail): void
    {
        try {
            is_array($value) && $value !== [] ? Policy::ownOf($value) : null;
        } catch (InvalidPolicy $invalid) {
            $fail(__("policy.{$invalid->fault}", ['said' => $invalid->said]));
        }
    }
}
