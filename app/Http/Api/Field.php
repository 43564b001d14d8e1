<?php

declare(strict_types=1);

namespace App\Http\Api;

use Attribute;

/** How a field of an Input is checked, beyond its type, and what is said where it is wrong. */
#[Attribute(Attribute::TARGET_PROPERTY)]
final readonly class Field
{
    /** @var list<string> */
    public array $rules;

    /**
     * @param  string  $says  code of the words for whatever is wrong with it; empty for Laravel's own
     * @param  string  ...$rules  as Laravel writes them; `ours:table` is the id of something of the workshop's own
     */
    public function __construct(public string $says = '', string ...$rules)
    {
        $this->rules = array_values($rules);
    }
}
