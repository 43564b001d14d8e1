<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Work\WhatIf;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a plan of work is asked for in the address: whole numbers, as an address says them. */
final class WorkRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'together' => ['sometimes', 'string', 'in:0,1'],
            'more_people' => ['sometimes', 'string', 'regex:/^[0-8]$/D'],
            'sooner' => ['sometimes', 'string', 'regex:/^\d{1,2}$/D'],
            'late_by' => ['required_with:late_part', 'string', 'regex:/^\d{1,2}$/D'],
            'late_part' => ['required_with:late_by', 'string', 'regex:/^\d{1,15}$/D', Rule::exists('part_types', 'id')->where('workshop_id', $this->user()->workshop_id ?? 0)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => __('work.asked')];
    }

    public function isTogether(): bool
    {
        return $this->query('together') === '1';
    }

    public function whatIf(): WhatIf
    {
        return new WhatIf($this->integer('more_people'), $this->integer('sooner'), $this->has('late_part') ? $this->integer('late_part') : null, $this->integer('late_by'));
    }
}
