<?php

declare(strict_types=1);

namespace App\Yard\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\DepthSchool;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\ReadingError;

#[OA\Schema(schema: 'OwnFactors', description: 'By case', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number', maximum: 2, minimum: 0.5))]
#[OA\Schema(schema: 'WorkshopEdit', description: 'What is left out stays', properties: [
    new OA\Property(property: 'watch_chance', type: 'number', maximum: 0.95, minimum: 0.01),
    new OA\Property(property: 'time_zone', type: 'string'),
    new OA\Property(property: 'depth_school', type: 'string', enum: DepthSchool::class),
    new OA\Property(property: 'ground_factors', description: 'All that the shop sets itself, by kind and case; what is not among them goes by the typical value', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/OwnFactors')),
    new OA\Property(property: 'measuring_sd', description: 'All that the shop sets itself, millimetres by check; what is not among them is learned', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number', maximum: 10, minimum: 0.3)),
])]
final class WorkshopRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rules = [
            'watch_chance' => ['sometimes', 'required', 'numeric:strict', 'between:0.01,0.95', 'decimal:0,3'],
            'time_zone' => ['sometimes', 'required', 'string', 'timezone:all'],
            'depth_school' => ['sometimes', 'required', 'string', Rule::enum(DepthSchool::class)],
            'ground_factors' => ['sometimes', 'array:'.implode(',', array_keys(GroundFactors::kinds()))],
            'ground_factors.*.*' => ['numeric:strict', 'between:'.Ground::MILDEST.','.Ground::HARSHEST, 'decimal:0,2'],
            'measuring_sd' => ['sometimes', 'array:'.implode(',', array_map(static fn (CheckKey $check): string => $check->value, ReadingError::checks()))],
            'measuring_sd.*' => ['numeric:strict', 'between:'.ReadingError::LEAST_SD.','.ReadingError::MOST_SD, 'decimal:0,2'],
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
            'ground_factors.array' => __('error.ground_kinds'),
            'ground_factors.*.array' => __('error.ground_kinds'),
            'ground_factors.*.*' => __('error.ground_factor', ['least' => Ground::MILDEST, 'most' => Ground::HARSHEST]),
            'measuring_sd.array' => __('error.measuring_checks'),
            'measuring_sd.*' => __('error.measuring_sd', ['least' => ReadingError::LEAST_SD, 'most' => ReadingError::MOST_SD]),
        ];
    }

    /** @return array<string, mixed> of the workshop, only what is to be set */
    public function columns(): array
    {
        $given = $this->validated();
        $columns = array_intersect_key($given, ['time_zone' => 1, 'depth_school' => 1]);
        if (isset($given['watch_chance'])) {
            $columns['watch_chance'] = number_format((float) $given['watch_chance'], 3, '.', '');
        }
        if ($this->has('ground_factors')) {
            $columns['ground_factors'] = array_filter($given['ground_factors']);
        }
        if ($this->has('measuring_sd')) {
            $columns['own_sd'] = $given['measuring_sd'];
        }

        return $columns;
    }
}
