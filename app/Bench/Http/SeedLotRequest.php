<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Illuminate\Foundation\Http\FormRequest;

final class SeedLotRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'crop' => ['sometimes', 'nullable', 'string', 'max:80'],
            'size' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.5,40', 'decimal:0,2'],
            'shape' => ['sometimes', 'nullable', 'string', 'max:40'],
            'seeds_per_unit' => ['required', 'integer:strict', 'between:100,10000000'],
            'germination' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.01,1', 'decimal:0,3'],
            'treatment' => ['sometimes', 'nullable', 'string', 'max:120'],
            'lubricant' => ['sometimes', 'nullable', 'string', 'max:120'],
            'price' => ['sometimes', 'nullable', 'numeric:strict', 'between:0,100000', 'decimal:0,2'],
            'spare' => ['sometimes', 'nullable', 'numeric:strict', 'between:0,1', 'decimal:0,3'],
            'revision' => ['sometimes', 'integer:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => __('seed.name'), 'crop.*' => __('seed.text'), 'size.*' => __('seed.size'), 'shape.*' => __('seed.text'), 'seeds_per_unit.*' => __('seed.seeds_per_unit'),
            'germination.*' => __('seed.germination'), 'treatment.*' => __('seed.text'), 'lubricant.*' => __('seed.text'), 'price.*' => __('error.money'), 'spare.*' => __('seed.spare'),
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $text = fn (string $field): string => trim($this->string($field)->toString());

        return [
            'name' => $text('name'), 'crop' => $text('crop'), 'size' => $this->input('size'), 'shape' => $text('shape'), 'seeds_per_unit' => $this->integer('seeds_per_unit'),
            'germination' => $this->input('germination'), 'treatment' => $text('treatment'), 'lubricant' => $text('lubricant'), 'price' => $this->input('price'), 'spare' => $this->input('spare') ?? 0.05,
        ];
    }
}
