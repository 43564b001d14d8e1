<?php

declare(strict_types=1);

namespace App\Work\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Work\Lubricant;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\LubricationRounds;

#[OA\Schema(schema: 'LubricationEdit', required: ['per', 'minutes', 'product', 'rounds', 'revision'], properties: [
    new OA\Property(property: 'name', description: 'Of one of the shop’s own', type: 'string', maxLength: 80),
    new OA\Property(property: 'per', type: 'string', enum: ['row', 'planter']),
    new OA\Property(property: 'minutes', type: 'number', maximum: 60, minimum: 0.1),
    new OA\Property(property: 'product', type: 'string', enum: Lubricant::class),
    new OA\Property(property: 'rounds', type: 'string', enum: LubricationRounds::class),
    new OA\Property(property: 'acres', type: 'number', maximum: 10000, minimum: 1, nullable: true),
    new OA\Property(property: 'hours', type: 'integer', maximum: 10000, minimum: 1, nullable: true),
    new OA\Property(property: 'off', type: 'boolean'),
    new OA\Property(property: 'revision', description: 'That was changed; 0 of a new one', type: 'integer', minimum: 0),
])]
final class LubricationRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $isOwn = ! in_array($this->route('point'), array_column(Lubrication::points(), 'point'), true);
        abort_if($isOwn && ! Str::isUuid($this->route('point')), 404);

        return [
            'name' => [$isOwn ? 'required' : 'prohibited', 'string', 'max:80'],
            'per' => ['required', Rule::in(['row', 'planter'])],
            'minutes' => ['required', 'numeric:strict', 'between:0.1,60', 'decimal:0,1'],
            'product' => ['required', Rule::enum(Lubricant::class)],
            'rounds' => ['required', Rule::enum(LubricationRounds::class)],
            'acres' => ['sometimes', 'nullable', 'numeric:strict', 'between:1,10000', 'decimal:0,1'],
            'hours' => ['sometimes', 'nullable', 'integer:strict', 'between:1,10000'],
            'off' => ['sometimes', 'boolean:strict'],
            'revision' => ['required', 'integer:strict', 'min:0'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $said = [];
        foreach (['name', 'per', 'minutes', 'product', 'rounds', 'acres', 'hours', 'off', 'revision'] as $field) {
            $said["{$field}.*"] = __("lube_refused.{$field}");
        }

        return $said;
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return ['name' => trim($this->string('name')->toString()), 'is_off' => $this->boolean('off')] + $this->only(['per', 'minutes', 'product', 'rounds']) + array_replace(['acres' => null, 'hours' => null], $this->only(['acres', 'hours']));
    }
}
