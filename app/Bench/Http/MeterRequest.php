<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Illuminate\Foundation\Http\FormRequest;

final class MeterRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['serial' => ['required', 'string', 'max:40'], 'note' => ['sometimes', 'nullable', 'string', 'max:200'], 'revision' => ['sometimes', 'integer:strict']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['serial.*' => __('meters.serial'), 'note.*' => __('meters.note')];
    }

    /** @return array{serial: string, note: string} */
    public function columns(): array
    {
        return ['serial' => trim($this->string('serial')->toString()), 'note' => trim($this->string('note')->toString())];
    }
}
