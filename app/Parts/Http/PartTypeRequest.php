<?php

declare(strict_types=1);

namespace App\Parts\Http;

use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Parts\Slot;

#[OA\Schema(schema: 'Slot', type: 'string', enum: Slot::class)]
#[OA\Schema(schema: 'PartTypeEdit', required: ['name', 'slots', 'per_row'], properties: [
    new OA\Property(property: 'version', description: 'That was changed: with another one meanwhile nothing is overwritten', type: 'string', maxLength: 40),
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'own_number', description: 'The workshop\'s own', type: 'string', maxLength: 40, nullable: true),
    new OA\Property(property: 'slots', description: 'That it fits', type: 'array', minItems: 1, items: new OA\Items(ref: '#/components/schemas/Slot')),
    new OA\Property(property: 'per_row', type: 'integer', maximum: 20, minimum: 1),
    new OA\Property(property: 'new_size', description: 'As typed, such as 15 in; empty where the part has no size that is measured', type: 'string', nullable: true),
    new OA\Property(property: 'life', description: 'Expected, furrow distance as typed, such as 800 mi', type: 'string', nullable: true),
    new OA\Property(property: 'price', description: 'For one', type: 'number', maximum: 100000, minimum: 0, nullable: true),
    new OA\Property(property: 'lead_days', type: 'integer', maximum: 730, minimum: 0, nullable: true),
    new OA\Property(property: 'minimum', description: 'That is to stay on the shelf', type: 'integer', maximum: 10000, minimum: 0, nullable: true),
    new OA\Property(property: 'notes', type: 'string', maxLength: 1000),
    new OA\Property(property: 'heavy', description: 'An opener blade of the heavier kind, with large rivets: needs a guard with clearance', type: 'boolean'),
    new OA\Property(property: 'clearance', description: 'A seed tube guard with clearance for large rivets', type: 'boolean'),
])]
final class PartTypeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['sometimes', 'string', 'max:40'],
            'name' => ['required', 'string', 'max:80'],
            'own_number' => ['nullable', 'string', 'max:40'],
            'slots' => ['required', 'list', 'min:1'],
            'slots.*' => [Rule::enum(Slot::class)],
            'per_row' => ['required', 'integer:strict', 'between:1,20'],
            'new_size' => ['bail', 'nullable', 'string', 'max:40', $this->quantityRule(Unit::Millimetre)],
            'life' => ['bail', 'nullable', 'string', 'max:40', $this->quantityRule(Unit::FurrowMile)],
            'price' => ['nullable', 'numeric:strict', 'between:0,100000', 'decimal:0,2'],
            'lead_days' => ['nullable', 'integer:strict', 'between:0,730'],
            'minimum' => ['nullable', 'integer:strict', 'between:0,10000'],
            'notes' => ['nullable', 'string', 'max:1000'],
            'heavy' => ['boolean:strict'],
            'clearance' => ['boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => __('part.name'),
            'slots.*' => __('part.slots'),
            'slots.*.*' => __('part.slots'),
            'per_row.*' => __('part.per_row'),
            'price.*' => __('part.price'),
            'lead_days.*' => __('part.lead_days'),
            'minimum.*' => __('part_type.minimum'),
            'notes.*' => __('part.notes'),
            'own_number.*' => __('part.own_number'),
        ];
    }

    /** @return array<string, mixed> the part type's columns */
    public function fields(): array
    {
        $size = $this->filled('new_size') ? Length::read($this->string('new_size')->toString(), $this->system()) : null;
        $life = $this->filled('life') ? Unit::FurrowMile->read($this->string('life')->toString(), $this->system()) : null;

        return [
            'name' => trim($this->string('name')->toString()),
            'own_number' => trim($this->string('own_number')->toString()) ?: null,
            'slots' => array_values(array_unique($this->array('slots'))),
            'per_row' => $this->integer('per_row'),
            'new_size' => $size === null ? null : number_format($size->toMillimetres(), 6, '.', ''),
            'new_size_typed' => $size?->typed,
            'life_m' => $life === null ? null : round(FurrowDistance::ofMiles(Unit::FurrowMile->valueOf($life))->metres, 1),
            'price' => $this->input('price'),
            'lead_days' => $this->input('lead_days'),
            'minimum' => $this->input('minimum'),
            'notes' => trim($this->string('notes')->toString()),
            'heavy' => $this->boolean('heavy'),
            'clearance' => $this->boolean('clearance'),
        ];
    }

    private function system(): UnitSystem
    {
        return $this->user()->units ?? UnitSystem::Inch;
    }

    private function quantityRule(Unit $unit): Closure
    {
        return function (string $field, mixed $value, Closure $fail) use ($unit): void {
            try {
                if ($unit->read((string) $value, $this->system())->steps() === 0) {
                    $fail(__('part.zero'));
                }
            } catch (UnreadableNumber $unreadable) {
                $fail(__($unreadable->wordKey(), $unreadable->fill()));
            }
        };
    }
}
