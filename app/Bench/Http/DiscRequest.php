<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Illuminate\Foundation\Http\FormRequest;

final class DiscRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $size = ['nullable', 'numeric:strict', 'between:0.5,40', 'decimal:0,2'];

        return [
            'name' => ['required', 'string', 'max:80'],
            'cells' => ['required', 'integer:strict', 'between:1,400'],
            'hole' => ['sometimes', 'nullable', 'numeric:strict', 'between:0.1,40', 'decimal:0,2'],
            'from_size' => [...$size, 'required_with:to_size'],
            'to_size' => [...$size, 'required_with:from_size', 'gte:from_size'],
            'kept_in' => ['sometimes', 'nullable', 'string', 'max:80'],
            'revision' => ['sometimes', 'integer:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => __('seed.disc_name'), 'cells.*' => __('stand.cells'), 'hole.*' => __('seed.hole'), 'from_size.*' => __('seed.sizes'), 'to_size.*' => __('seed.sizes'), 'kept_in.*' => __('seed.text')];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'name' => trim($this->string('name')->toString()), 'cells' => $this->integer('cells'), 'hole' => $this->input('hole'), 'from_size' => $this->input('from_size'), 'to_size' => $this->input('to_size'),
            'kept_in' => trim($this->string('kept_in')->toString()),
        ];
    }
}
