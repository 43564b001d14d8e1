<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Models\SpecSheet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Threads;

#[OA\Schema(schema: 'FigureEdit', required: ['value', 'source'], properties: [
    new OA\Property(property: 'value', description: 'A figure as typed; a bare number is in the user\'s units', type: 'string'),
    new OA\Property(property: 'source', description: 'Where the figure comes from', type: 'string', maxLength: 200),
])]
#[OA\Schema(schema: 'FigureEdits', description: 'By figure name', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/FigureEdit'))]
#[OA\Schema(schema: 'SpecSheetEdit', required: ['name', 'figures', 'notch'], properties: [
    new OA\Property(property: 'version', description: 'That was changed: with another one meanwhile nothing is overwritten', type: 'string', maxLength: 40),
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'figures', description: 'By check and figure name', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/FigureEdits')),
    new OA\Property(property: 'notch', ref: '#/components/schemas/FigureEdit'),
    new OA\Property(property: 'threads', description: 'How the opener blades are bolted on; stays as it is where it is left out', required: ['left_hand', 'torque'], properties: [
        new OA\Property(property: 'left_hand', description: 'left or right; empty where nobody knows', type: 'string', nullable: true),
        new OA\Property(property: 'torque', type: 'string', maxLength: 60, nullable: true),
    ], type: 'object'),
])]
final class SpecSheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rules = ['version' => ['sometimes', 'string', 'max:40'], 'name' => ['required', 'string', 'max:80']] + $this->figureRules('notch') + [
            'threads' => ['sometimes', 'array:left_hand,torque', 'required_array_keys:left_hand,torque'],
            'threads.left_hand' => ['nullable', 'string', Rule::in([Side::Left->value, Side::Right->value])],
            'threads.torque' => ['nullable', 'string', 'max:'.Threads::LONGEST_TORQUE],
            'figures' => ['present', 'array:'.implode(',', array_keys($this->fields()))]];
        foreach ($this->fields() as $check => $names) {
            $rules["figures.{$check}"] = ['sometimes', 'array:'.implode(',', $names)];
            foreach ($names as $name) {
                $rules += $this->figureRules("figures.{$check}.{$name}");
            }
        }

        return $rules;
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['threads.required_array_keys' => __('spec.threads_whole'), 'threads.left_hand.*' => __('spec.threads'), 'threads.torque.*' => __('spec.torque')];
    }

    /** @return array{left_hand: string, torque: string}|null null to leave them */
    public function threads(): ?array
    {
        return $this->has('threads') ? ['left_hand' => $this->string('threads.left_hand')->toString(), 'torque' => trim($this->string('threads.torque')->toString())] : null;
    }

    /** @return array{value: string, source: string} */
    public function notch(): array
    {
        return self::entry($this->validated('notch'));
    }

    /** @return array<string, array<string, array{value: string, source: string}>> */
    public function figures(): array
    {
        return array_map(
            static fn (array $named): array => array_map(self::entry(...), $named),
            $this->validated('figures'),
        );
    }

    /**
     * @param  array{value?: string|null, source?: string|null}  $entry
     * @return array{value: string, source: string}
     */
    private static function entry(array $entry): array
    {
        return ['value' => trim($entry['value'] ?? ''), 'source' => trim($entry['source'] ?? '')];
    }

    /** @return array<string, list<string>> the figures that the sheet has, by check */
    private function fields(): array
    {
        /** @var SpecSheet $sheet */
        $sheet = $this->route('specSheet');

        return array_map(static fn ($check): array => array_keys($check->figures), $sheet->shown()->checks);
    }

    /** @return array<string, list<string>> */
    private function figureRules(string $at): array
    {
        return [
            $at => [$at === 'notch' ? 'required' : 'sometimes', 'array:value,source'],
            "{$at}.value" => ['nullable', 'string', 'max:40'],
            "{$at}.source" => ['nullable', 'string', 'max:200'],
        ];
    }
}
