<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\User;
use App\Yard\OtherRowsEdit;
use App\Yard\WantedEdit;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;

#[OA\Schema(schema: 'PlanterEdit', required: ['farm', 'name', 'row_count', 'spacing', 'spec_sheet_id'], properties: [
    new OA\Property(property: 'version', description: 'That was changed: with another one meanwhile nothing is overwritten', type: 'string', maxLength: 40),
    new OA\Property(property: 'farm', type: 'string', maxLength: 80),
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'row_count', description: '1 to 48, of a drill to 64', type: 'integer', maximum: 64, minimum: 1),
    new OA\Property(property: 'spacing', description: 'Row spacing as typed, such as 30 in or 76 cm', type: 'string'),
    new OA\Property(property: 'sections', description: 'Rows in each section of the toolbar from the left; one section by default', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'spec_sheet_id', type: 'integer'),
    new OA\Property(property: 'equipment', description: 'The kind of each assembly of core/units, by name; as typical for the row-unit type where it is left out', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'boolean'), new OA\Schema(type: 'integer'), new OA\Schema(type: 'null')])),
    new OA\Property(property: 'other_rows', description: 'Rows that differ from most; as they are where it is left out', type: 'array', items: new OA\Items(required: ['rows'], properties: [
        new OA\Property(property: 'rows', description: 'Each row in one group, and at least one in none', type: 'array', items: new OA\Items(type: 'integer', maximum: 64, minimum: 1), minItems: 1),
        new OA\Property(property: 'spec_sheet_id', description: 'Of another row unit; null where they go by the sheet of the planter', type: 'integer', nullable: true),
        new OA\Property(property: 'equipment', description: 'What they carry instead, by assembly; with another sheet the rest is typical of it', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'boolean'), new OA\Schema(type: 'integer'), new OA\Schema(type: 'null')])),
    ], type: 'object')),
    new OA\Property(property: 'parked_rows', description: 'Rows that are up and do not plant; as they are where it is left out', type: 'array', items: new OA\Items(type: 'integer', maximum: 64, minimum: 1)),
    new OA\Property(property: 'wanted', description: 'Targets of this planter itself as typed, by check: how far beside and below the seed the band lies, the pressure of each pair of tires. The spec sheet holds where none is given; as they are where it is left out', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string', nullable: true)),
    new OA\Property(property: 'planting_start', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'planned_acres', description: 'Of the season that is being prepared', type: 'number', maximum: 100000, minimum: 0.01, nullable: true),
    new OA\Property(property: 'planting_days', description: 'From the first to the last day of planting', type: 'integer', maximum: 365, minimum: 1, nullable: true),
])]
final class PlanterRequest extends FormRequest
{
    private const WIDEST_SPACING_INCHES = 80;

    private const MOST_ROWS = 48;

    private const MOST_ROWS_OF_A_DRILL = 64;

    private ?OtherRowsEdit $otherRows = null;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['sometimes', 'string', 'max:40'],
            'farm' => ['required', 'string', 'max:80'],
            'name' => ['required', 'string', 'max:80'],
            'row_count' => ['bail', 'required', 'integer:strict', $this->rowsRule(...)],
            'spacing' => ['bail', 'required', 'string', 'max:40', $this->spacingRule(...)],
            'sections' => ['bail', 'sometimes', 'list', 'max:64', $this->sectionsRule(...)],
            'sections.*' => ['integer:strict', 'between:1,64'],
            'spec_sheet_id' => ['bail', 'required', 'integer:strict', $this->sheetRule(...)],
            'equipment' => ['bail', 'sometimes', 'array', $this->kindsRule(...), $this->fitRule(...)],
            'planned_acres' => ['nullable', 'numeric:strict', 'between:0.01,100000', 'decimal:0,2'],
            'planting_days' => ['nullable', 'integer:strict', 'between:1,365'],
            'planting_start' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'row_count.required' => __('planter.row_count'),
            'row_count.integer' => __('planter.row_count'),
            'sections.list' => __('planter.sections_shape'),
            'sections.max' => __('planter.sections_shape'),
            'sections.*.*' => __('planter.sections_shape'),
            'planned_acres.*' => __('planter.planned_acres'),
            'planting_days.*' => __('planter.planting_days'),
            'planting_start.*' => __('planter.planting_start'),
            'equipment.array' => __('planter.equipment'),
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
            ...($this->has('equipment') ? ['equipment' => $this->equipment()->toArray()] : []),
            ...($this->has('other_rows') ? ['other_rows' => $this->otherRows()->groups] : []),
            ...($this->has('wanted') ? ['wanted' => $this->wanted()->wanted] : []),
            ...($this->has('parked_rows') ? ['parked_rows' => OtherRowsEdit::rows($this->input('parked_rows'), $rows)] : []),
            'planned_acres' => $this->filled('planned_acres') ? number_format($this->float('planned_acres'), 2, '.', '') : null,
            'planting_days' => $this->filled('planting_days') ? $this->integer('planting_days') : null,
            'planting_start' => $this->filled('planting_start') ? Day::of($this->string('planting_start')->toString()) : null,
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isEmpty()) {
                foreach ($this->otherRows()->faults as $field => $fault) {
                    $validator->errors()->add($field, $fault);
                }
                foreach ($this->wanted()->faults as $field => $fault) {
                    $validator->errors()->add($field, $fault);
                }
                $this->parkedRule('parked_rows', $this->input('parked_rows', $this->planter()->parked_rows ?? []), static fn (string $fault) => $validator->errors()->add('parked_rows', $fault));
            }
        }];
    }

    /** What stands on record holds where nothing else is said, and has to go with the rest all the same. */
    private function otherRows(): OtherRowsEdit
    {
        return $this->otherRows ??= new OtherRowsEdit($this->input('other_rows', $this->planter()->other_rows ?? []), $this->integer('row_count'), $this->equipment(), SpecSheet::usableBy($this->workshopId())->get()->keyBy('id'));
    }

    private function wanted(): WantedEdit
    {
        return new WantedEdit($this->input('wanted', []), $this->user()->units ?? UnitSystem::Inch);
    }

    private function planter(): ?Planter
    {
        $planter = $this->route('planter');

        return $planter instanceof Planter ? $planter : null;
    }

    /** Rows of the planter, and not all of them. */
    private function parkedRule(string $field, mixed $value, Closure $fail): void
    {
        $rows = OtherRowsEdit::rows($value, $this->integer('row_count'));
        if ($rows === null) {
            $fail(__('planter.which_rows', ['rows' => $this->integer('row_count')]));
        } elseif (count($rows) >= $this->integer('row_count')) {
            $fail(__('planter.all_rows_parked'));
        }
    }

    private function equipment(): Equipment
    {
        $sheet = SpecSheet::usableBy($this->workshopId())->findOrFail($this->integer('spec_sheet_id'));

        return Equipment::of($this->has('equipment') ? $this->array('equipment') : $this->planter()->equipment ?? [], $sheet->read()->type);
    }

    /** A planter has up to 48 rows, a drill up to 64. */
    private function rowsRule(string $field, mixed $value, Closure $fail): void
    {
        $sheet = is_int($this->input('spec_sheet_id')) ? SpecSheet::usableBy($this->workshopId())->find($this->integer('spec_sheet_id')) : null;
        $isDrill = $sheet?->read()->type === RowUnitType::SingleDiscDrill;
        if ($value < 1 || $value > ($isDrill ? self::MOST_ROWS_OF_A_DRILL : self::MOST_ROWS)) {
            $fail(__($isDrill ? 'planter.drill_rows' : 'planter.row_count'));
        }
    }

    /** Each is an assembly that there is, of a kind that it has. */
    private function kindsRule(string $field, mixed $value, Closure $fail): void
    {
        foreach (is_array($value) ? $value : [] as $name => $kind) {
            $fault = OtherRowsEdit::unknownKind((string) $name, $kind);
            $fault === null || $fail($fault);
        }
    }

    /** Assemblies and parts that do not go together are not recorded together. */
    private function fitRule(string $field, mixed $value, Closure $fail): void
    {
        if (! is_array($value) || ! is_int($this->input('spec_sheet_id')) || ! SpecSheet::usableBy($this->workshopId())->whereKey($this->integer('spec_sheet_id'))->exists()) {
            return;
        }
        $equipment = $this->equipment();
        foreach ($equipment->contradictions() as $contradiction) {
            $fail(__("contradiction.{$contradiction->code}"));
        }
        foreach (FitRule::brokenBy($equipment) as $broken) {
            $fail(__("fit.{$broken->value}"));
        }
    }

    private function spacing(): Length
    {
        return Length::read($this->string('spacing')->toString(), $this->user()->units ?? UnitSystem::Inch);
    }

    private function spacingRule(string $field, mixed $value, Closure $fail): void
    {
        try {
            $inches = $this->spacing()->toInches();
        } catch (UnreadableNumber $unreadable) {
            $fail(__($unreadable->wordKey(), $unreadable->fill()));

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
        $sum = is_array($value) ? array_sum(array_filter($value, is_int(...))) : 0;
        if ($value !== [] && $sum !== $this->integer('row_count')) {
            $fail(__('planter.sections', ['sum' => $sum, 'rows' => $this->integer('row_count')]));
        }
    }

    private function sheetRule(string $field, mixed $value, Closure $fail): void
    {
        $known = is_int($value) && SpecSheet::usableBy($this->workshopId())->whereKey($value)->exists();
        if (! $known) {
            $fail(__('planter.spec_sheet'));
        }
    }

    private function workshopId(): int
    {
        return $this->user() instanceof User ? $this->user()->workshop_id : throw new AuthenticationException;
    }
}
