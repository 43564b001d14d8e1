<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\SpecSheet;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableLength;

#[OA\Schema(schema: 'PlanterEdit', required: ['farm', 'name', 'row_count', 'spacing', 'spec_sheet_id'], properties: [
    new OA\Property(property: 'farm', type: 'string', maxLength: 80),
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'row_count', type: 'integer', maximum: 48, minimum: 1),
    new OA\Property(property: 'spacing', description: 'Row spacing as typed, such as 30 in or 76 cm', type: 'string'),
    new OA\Property(property: 'sections', description: 'Rows in each section of the toolbar from the left; one section by default', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'spec_sheet_id', type: 'integer'),
    new OA\Property(property: 'planting_start', type: 'string', format: 'date', nullable: true),
])]
final class PlanterRequest extends FormRequest
{
    private const WIDEST_SPACING_INCHES = 80;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'farm' => ['required', 'string', 'max:80'],
            'name' => ['required', 'string', 'max:80'],
            'row_count' => ['required', 'integer', 'between:1,48'],
            'spacing' => ['required', 'string', 'max:40', $this->spacingRule(...)],
            'sections' => ['sometimes', 'array', 'max:48', $this->sectionsRule(...)],
            'sections.*' => ['integer', 'min:1'],
            'spec_sheet_id' => ['required', 'integer', $this->sheetRule(...)],
            'planting_start' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'row_count.*' => __('planter.row_count'),
            'sections.array' => __('planter.sections_shape'),
            'sections.max' => __('planter.sections_shape'),
            'sections.*.*' => __('planter.sections_shape'),
            'planting_start.*' => __('planter.planting_start'),
            'spec_sheet_id.*' => __('planter.spec_sheet'),
        ];
    }

    /** @return array<string, mixed> the planter's columns */
    public function fields(): array
    {
        $rows = $this->integer('row_count');
        $spacing = $this->spacing();

        return [
            'farm' => trim($this->string('farm')->toString()),
            'name' => trim($this->string('name')->toString()),
            'row_count' => $rows,
            'spacing_mm' => number_format($spacing->toMillimetres(), 6, '.', ''),
            'spacing_typed' => $spacing->typed,
            'sections' => array_map(intval(...), $this->array('sections') ?: [$rows]),
            'spec_sheet_id' => $this->integer('spec_sheet_id'),
            'planting_start' => $this->filled('planting_start') ? Carbon::parse($this->string('planting_start')->toString()) : null,
        ];
    }

    private function spacing(): Length
    {
        return Length::read($this->string('spacing')->toString(), $this->user()->units ?? UnitSystem::Inch);
    }

    private function spacingRule(string $field, mixed $value, Closure $fail): void
    {
        try {
            $inches = $this->spacing()->toInches();
        } catch (UnreadableLength $unreadable) {
            $fail(__("length.{$unreadable->fault->value}", ['typed' => $unreadable->typed]));

            return;
        }
        if ($inches <= 0) {
            $fail(__('planter.spacing_zero'));
        } elseif ($inches > self::WIDEST_SPACING_INCHES) {
            $fail(__('planter.spacing_wide'));
        }
    }

    private function sectionsRule(string $field, mixed $value, Closure $fail): void
    {
        $sum = is_array($value) ? array_sum(array_filter($value, is_numeric(...))) : 0;
        if ($value !== [] && $sum !== $this->integer('row_count')) {
            $fail(__('planter.sections', ['sum' => $sum, 'rows' => $this->integer('row_count')]));
        }
    }

    private function sheetRule(string $field, mixed $value, Closure $fail): void
    {
        $known = is_int($value) && SpecSheet::usableBy($this->user()->workshop_id)->whereKey($value)->exists();
        if (! $known) {
            $fail(__('planter.spec_sheet'));
        }
    }
}
