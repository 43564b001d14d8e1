<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Models\Parts\Order;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\OrderState;

final class OrderRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $ofShop = fn (string $table) => Rule::exists($table, 'id')->where('workshop_id', $this->user()?->getAttribute('workshop_id'));

        return [
            'key' => [$this->isMethod('POST') ? 'required' : 'sometimes', 'string', 'uuid'],
            'revision' => ['required', 'integer:strict', 'min:0'],
            'supplier_id' => ['nullable', 'integer:strict', $ofShop('suppliers')],
            'state' => ['required', 'string', Rule::enum(OrderState::class)],
            'note' => ['sometimes', 'nullable', 'string', 'max:500'],
            'ordered_on' => ['nullable', 'required_if:state,ordered', 'string', 'date_format:Y-m-d'],
            'expected_on' => ['nullable', 'string', 'date_format:Y-m-d'],
            'lines' => ['required', 'list', 'max:'.Order::MOST_LINES],
            'lines.*' => ['array:part_type_id,quantity,price,received'],
            'lines.*.part_type_id' => ['required', 'integer:strict', 'distinct', $ofShop('part_types')],
            'lines.*.quantity' => ['required', 'integer:strict', 'between:1,100000'],
            'lines.*.price' => ['nullable', 'numeric:strict', 'between:0,100000', 'decimal:0,2'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'key.*' => __('refused.no_id'),
            'revision.*' => __('order.revision'),
            'supplier_id.*' => __('order.supplier'),
            'state.*' => __('order.state'),
            'note.*' => __('supplier.notes'),
            'ordered_on.*' => __('order.day'),
            'expected_on.*' => __('order.day'),
            'lines.*' => __('order.lines'),
            'lines.*.*' => __('order.lines'),
            'lines.*.part_type_id.*' => __('stock.part'),
            'lines.*.quantity.*' => __('stock.quantity'),
            'lines.*.price.*' => __('error.money'),
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $day = fn (string $field): ?Day => $this->filled($field) ? Day::of($this->string($field)->toString()) : null;

        return [
            'supplier_id' => $this->filled('supplier_id') ? $this->integer('supplier_id') : null,
            'state' => OrderState::from($this->string('state')->toString()),
            'note' => trim($this->string('note')->toString()),
            'ordered_on' => $this->string('state')->toString() === OrderState::Draft->value ? null : $day('ordered_on'),
            'expected_on' => $day('expected_on'),
            'lines' => array_map(static fn (array $line): array => ['part_type_id' => $line['part_type_id'], 'quantity' => $line['quantity'], 'price' => $line['price'] ?? null], $this->array('lines')),
        ];
    }
}
