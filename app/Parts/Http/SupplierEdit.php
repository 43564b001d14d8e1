<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use App\Parts\CounterAddress;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;

final readonly class SupplierEdit extends Input
{
    public function __construct(
        #[Field('supplier.name', 'max:80')] public string $name,
        /** @var list<SupplierPriceEdit> One for each part type */
        #[Field('supplier.prices', 'max:1000')] public array $prices,
        #[Field('supplier.notes', 'max:500')] public string $notes = '',
        /** Where its parts counter is asked: an http or https address, or the stand-in and how it behaves: practice:works, slow, late, down, wrong, half */
        #[Field('supplier.counter')] public ?string $counter = null,
        /** That was changed; 0 of a new one */
        public int $revision = 0,
    ) {
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        if ($input->counter !== null && ! CounterAddress::fits($input->counter)) {
            $checked->errors()->add('counter', __('supplier.counter'));
        }
    }
}
