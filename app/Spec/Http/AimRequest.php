<?php

declare(strict_types=1);

namespace App\Spec\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'AimEdit', description: 'What is left out or null is as typical', required: ['crop'], properties: [
    new OA\Property(property: 'crop', description: 'Empty for all crops', type: 'string', maxLength: 80),
    new OA\Property(property: 'size', description: 'Of its seed; empty for all', type: 'string', maxLength: 40),
    new OA\Property(property: 'singulation', description: 'Share of places with one seed', type: 'number', maximum: 1, minimum: 0.5, nullable: true),
    new OA\Property(property: 'rate_low', description: 'By how much seeds may lie closer together than set: a share under 0', type: 'number', maximum: -0.005, minimum: -0.3, nullable: true),
    new OA\Property(property: 'rate_high', description: 'By how much farther apart: a share over 0', type: 'number', maximum: 0.3, minimum: 0.005, nullable: true),
    new OA\Property(property: 'depth', description: 'Wanted, millimetres', type: 'number', maximum: 160, minimum: 3, nullable: true),
    new OA\Property(property: 'depth_band', description: 'How far a row may be from it, millimetres', type: 'number', maximum: 50, minimum: 0.5, nullable: true),
    new OA\Property(property: 'emergence_hours', description: 'From 10 to 90 % up', type: 'integer', maximum: 500, minimum: 1, nullable: true),
    new OA\Property(property: 'spacing_cv', description: 'Scatter of single spacings that is still good, as a share of what is set', type: 'number', maximum: 1, minimum: 0.05, nullable: true),
    new OA\Property(property: 'revision', description: 'That was changed; not of a new one', type: 'integer'),
])]
final class AimRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'crop' => ['present', 'nullable', 'string', 'max:80'],
            'size' => ['sometimes', 'nullable', 'string', 'max:40', Rule::prohibitedIf(fn (): bool => in_array($this->input('crop'), [null, ''], true))],
            'singulation' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.5,1', 'decimal:0,3'],
            'rate_low' => ['sometimes', 'nullable', 'numeric:strict', 'between:-0.3,-0.005', 'decimal:0,3'],
            'rate_high' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.005,0.3', 'decimal:0,3'],
            'depth' => ['sometimes', 'nullable', 'numeric:strict', 'between:3,160', 'decimal:0,2'],
            'depth_band' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.5,50', 'decimal:0,2'],
            'emergence_hours' => ['sometimes', 'nullable', 'integer:strict', 'between:1,500'],
            'spacing_cv' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.05,1', 'decimal:0,3'],
            'revision' => ['sometimes', 'integer:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $said = [];
        foreach (['crop', 'size', 'singulation', 'rate_low', 'rate_high', 'depth', 'depth_band', 'emergence_hours', 'spacing_cv'] as $field) {
            $said["{$field}.*"] = __("aims.{$field}");
        }

        return $said;
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'crop' => mb_strtolower(trim($this->string('crop')->toString())), 'size' => mb_strtolower(trim($this->string('size')->toString())),
        ] + array_replace(array_fill_keys(['singulation', 'rate_low', 'rate_high', 'depth', 'depth_band', 'emergence_hours', 'spacing_cv'], null), $this->only(['singulation', 'rate_low', 'rate_high', 'depth', 'depth_band', 'emergence_hours', 'spacing_cv']));
    }
}
