<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Parts\CounterAddress;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SupplierRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'notes' => ['sometimes', 'nullable', 'string', 'max:500'],
            'counter' => ['sometimes', 'nullable', 'string', static fn (string $field, mixed $written, Closure $fail) => is_string($written) && ! CounterAddress::fits($written) ? $fail(__('supplier.counter')) : null],
            'revision' => ['sometimes', 'integer:strict'],
            'prices' => ['present', 'list', 'max:1000'],
            'prices.*' => ['array:part_type_id,price,lead_days,since'],
            'prices.*.part_type_id' => ['required', 'integer:strict', 'distinct', Rule::exists('part_types', 'id')->where('workshop_id', $this->user()?->getAttribute('workshop_id'))],
            'prices.*.price' => ['nullable', 'numeric:strict', 'between:0,100000', 'decimal:0,2'],
            'prices.*.lead_days' => ['nullable', 'integer:strict', 'between:0,730'],
            'prices.*.since' => ['required', 'string', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => __('supplier.name'),
            'notes.*' => __('supplier.notes'),
            'counter.*' => __('supplier.counter'),
            'prices.*' => __('supplier.prices'),
            'prices.*.*' => __('supplier.prices'),
            'prices.*.part_type_id.*' => __('stock.part'),
            'prices.*.price.*' => __('error.money'),
            'prices.*.lead_days.*' => __('part.lead_days'),
            'prices.*.since.*' => __('supplier.since'),
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'name' => trim($this->string('name')->toString()),
            'notes' => trim($this->string('notes')->toString()),
            'counter' => trim($this->string('counter')->toString()) ?: null,
            'prices' => array_map(static fn (array $price): array => $price + ['price' => null, 'lead_days' => null], $this->array('prices')),
        ];
    }
}
