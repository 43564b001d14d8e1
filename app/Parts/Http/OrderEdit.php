<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use App\Models\Parts\Order;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\OrderState;

final readonly class OrderEdit extends Input
{
    public function __construct(
        /** That was changed; 0 of a new one */
        #[Field('order.revision', 'min:0')] public int $revision,
        #[Field('order.state')] public OrderState $state,
        /** @var list<OrderLineEdit> */
        #[Field('order.lines', 'min:1', 'max:'.Order::MOST_LINES)] public array $lines,
        #[Field('order.supplier', 'ours:suppliers')] public ?int $supplier_id = null,
        #[Field('supplier.notes', 'max:500')] public string $note = '',
        #[Field('order.day', 'required_if:state,ordered')] public ?Day $ordered_on = null,
        /** Of what is back-ordered, too */
        #[Field('order.day')] public ?Day $expected_on = null,
        /** Of a new one: made on the device, UUIDv7 */
        #[Field('refused.no_id', 'uuid')] public ?string $key = null,
    ) {
    }

    public function columns(): array
    {
        return ['ordered_on' => $this->state === OrderState::Draft ? null : $this->ordered_on, 'lines' => array_map(static fn (OrderLineEdit $line): array => $line->jsonSerialize(), $this->lines)] + parent::columns();
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        if ($input->key === null && $request->isMethod('POST')) {
            $checked->errors()->add('key', __('refused.no_id'));
        }
    }
}
