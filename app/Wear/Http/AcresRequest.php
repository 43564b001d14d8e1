<?php

declare(strict_types=1);

namespace App\Wear\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Wear\Residue;
use Ustrel\Core\Wear\Soil;
use Ustrel\Core\Wear\Tillage;

#[OA\Schema(schema: 'ShutOff', description: 'Rows that ran only a share of it', required: ['rows', 'share'], properties: [
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'share', description: 'That they ran; 0 where they were shut off throughout', type: 'number', maximum: 1, minimum: 0),
])]
#[OA\Schema(schema: 'AcresEntry', description: 'Either a line as it is told, with the day, or field and acres', required: ['id', 'day'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'day', description: 'Not in the future; a day in the line goes before it', type: 'string', format: 'date'),
    new OA\Property(property: 'line', description: 'Such as: 62.5 ac, Long Field, popcorn, 5 mph, no-till', type: 'string', maxLength: 200, nullable: true),
    new OA\Property(property: 'field', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'crop', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'acres', description: 'Of the whole planter, over 0 to 10,000', type: 'number', nullable: true),
    new OA\Property(property: 'mph', type: 'number', nullable: true),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'tillage', type: 'string', enum: Tillage::class, nullable: true),
    new OA\Property(property: 'severity', description: 'The shop\'s own figure in place of the ground\'s', type: 'number', maximum: 2, minimum: 0.5, nullable: true),
    new OA\Property(property: 'shut_off', type: 'array', items: new OA\Items(ref: '#/components/schemas/ShutOff')),
    new OA\Property(property: 'supersedes', description: 'The line whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the line that is superseded', type: 'boolean'),
])]
final class AcresRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'day' => ['required', 'string'],
            'line' => ['nullable', 'string', 'max:200'],
            'field' => ['nullable', 'string'],
            'crop' => ['nullable', 'string'],
            'acres' => ['nullable', 'numeric'],
            'mph' => ['nullable', 'numeric'],
            'soil' => ['nullable', Rule::enum(Soil::class)],
            'residue' => ['nullable', Rule::enum(Residue::class)],
            'tillage' => ['nullable', Rule::enum(Tillage::class)],
            'severity' => ['nullable', 'numeric'],
            'shut_off' => ['nullable', 'array'],
            'shut_off.*.rows' => ['required', 'array', 'min:1'],
            'shut_off.*.rows.*' => ['integer'],
            'shut_off.*.share' => ['required', 'numeric'],
            'supersedes' => ['required_if:withdrawn,true', 'nullable', 'uuid'],
            'withdrawn' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'id.*' => __('refused.no_id'),
            'day.*' => __('acres.day', ['day' => '']),
            'acres.*' => __('acres.acres', ['acres' => (string) $this->string('acres')]),
            'mph.*' => __('acres.mph'),
            'severity.*' => __('acres.severity'),
            'soil.*' => __('acres.ground'),
            'residue.*' => __('acres.ground'),
            'tillage.*' => __('acres.ground'),
            'shut_off.*' => __('acres.shut_off'),
            'shut_off.*.*' => __('acres.shut_off'),
            'line.*' => __('acres.line'),
        ];
    }

    /** @return array<string, mixed> */
    public function entry(): array
    {
        return array_filter($this->validated(), static fn (mixed $value): bool => $value !== null && $value !== '');
    }
}
