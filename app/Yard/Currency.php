<?php

declare(strict_types=1);

namespace App\Yard;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use ResourceBundle;

/** A currency of ISO 4217, as ICU knows them. */
final class Currency implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $known = ResourceBundle::create('en', 'ICUDATA-curr', false)?->get('Currencies');
        $isOne = is_string($value) && preg_match('/^[A-Z]{3}$/', $value) === 1 && $known instanceof ResourceBundle && $known->get($value) !== null;
        if (! $isOne) {
            $fail(__('people.currency'));
        }
    }
}
