<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

final class HistoryRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            // 0 is the planter as a whole.
            'row' => ['required', 'string', 'regex:/^\d{1,2}$/D', 'integer', 'between:0,64'],
            'check' => ['required', Rule::in(array_column(CheckKey::cases(), 'value'))],
            'side' => ['required', Rule::enum(Side::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['row.*' => __('refused.row_asked'), 'check.*' => __('refused.unknown_check'), 'side.*' => __('refused.unknown_side')];
    }

    public function place(): Place
    {
        return new Place(
            $this->integer('row'),
            CheckKey::from($this->string('check')->toString()),
            Side::from($this->string('side')->toString()),
        );
    }
}
