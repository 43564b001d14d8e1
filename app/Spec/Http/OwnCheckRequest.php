<?php

declare(strict_types=1);

namespace App\Spec\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\OwnCheckSpec;
use Ustrel\Core\Spec\OwnKind;
use Ustrel\Core\Spec\Station;

#[OA\Schema(schema: 'OwnCheck', required: ['name', 'station', 'kind'], properties: [
    new OA\Property(property: 'name', description: 'With the unit where it has one', type: 'string', maxLength: 60),
    new OA\Property(property: 'station', ref: '#/components/schemas/Station'),
    new OA\Property(property: 'kind', description: 'at_most and at_least: a plain number with that limit', type: 'string', enum: OwnKind::class),
    new OA\Property(property: 'sided', description: 'Made on the left and on the right', type: 'boolean'),
    new OA\Property(property: 'limit', description: 'A number as typed, where it takes one', type: 'string', nullable: true),
    new OA\Property(property: 'how', description: 'How it is made', type: 'string', maxLength: 200, nullable: true),
])]
final class OwnCheckRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:'.OwnCheckSpec::LONGEST_NAME],
            'station' => ['required', Rule::enum(Station::class)],
            'kind' => ['required', Rule::enum(OwnKind::class)],
            'sided' => ['sometimes', 'boolean:strict'],
            'limit' => ['nullable', 'string', 'max:40', Rule::requiredIf(in_array($this->input('kind'), [OwnKind::AtMost->value, OwnKind::AtLeast->value], true))],
            'how' => ['nullable', 'string', 'max:'.OwnCheckSpec::LONGEST_HOW],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => __('spec.own_name'),
            'station' => __('spec.own_station'),
            'kind' => __('spec.own_kind'),
            'sided.*' => __('refused.unknown_flag'),
            'limit.*' => __('own.limit'),
            'how.*' => __('spec.own_how'),
        ];
    }

    public function check(): OwnCheckSpec
    {
        return new OwnCheckSpec(
            trim($this->string('name')->toString()),
            Station::from($this->string('station')->toString()),
            OwnKind::from($this->string('kind')->toString()),
            $this->boolean('sided'),
            trim($this->string('how')->toString()),
        );
    }

    public function limit(): ?string
    {
        return $this->filled('limit') ? $this->string('limit')->toString() : null;
    }
}
