<?php

declare(strict_types=1);

namespace App\Walk\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\WalkKind;

#[OA\Schema(schema: 'PackEdit', required: ['name', 'kind', 'checks'], properties: [
    new OA\Property(property: 'version', description: 'That was changed: with another one meanwhile nothing is overwritten', type: 'string', maxLength: 40),
    new OA\Property(property: 'name', type: 'string', maxLength: 60),
    new OA\Property(property: 'kind', description: 'Of the walk that it proposes', ref: '#/components/schemas/WalkKind'),
    new OA\Property(property: 'checks', type: 'array', minItems: 1, items: new OA\Items(ref: '#/components/schemas/CheckKey')),
])]
final class PackRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['sometimes', 'string', 'max:40'],
            'name' => ['required', 'string', 'max:60'],
            'kind' => ['required', Rule::enum(WalkKind::class)],
            'checks' => ['required', 'list', 'min:1', 'max:'.count(CheckKey::cases())],
            'checks.*' => [Rule::enum(CheckKey::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => __('pack.name'),
            'kind.*' => __('pack.kind'),
            'checks.*' => __('pack.no_checks'),
            'checks.*.*' => __('pack.unknown_check'),
        ];
    }

    /** @return array{name: string, kind: string, checks: list<string>} the pack's columns */
    public function fields(): array
    {
        $chosen = $this->array('checks');
        $inOrder = array_filter(CheckKey::cases(), static fn (CheckKey $key): bool => in_array($key->value, $chosen, true));

        return [
            'name' => trim($this->string('name')->toString()),
            'kind' => $this->string('kind')->toString(),
            'checks' => array_values(array_map(static fn (CheckKey $key): string => $key->value, $inOrder)),
        ];
    }
}
