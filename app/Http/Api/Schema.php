<?php

declare(strict_types=1);

namespace App\Http\Api;

use JsonSerializable;
use ReflectionClass;
use Ustrel\Core\Measure\Day;

/**
 * A thing of the API: a readonly class whose promoted properties are its fields, in their order. What the API document says of
 * it and its JSON follow from them; a comment on a property is its description there. `MeterView` is `Meter` in the document.
 */
abstract readonly class Schema implements JsonSerializable
{
    public static function schemaName(): string
    {
        return preg_replace('/View$/', '', (new ReflectionClass(static::class))->getShortName()) ?? '';
    }

    /** @return array<string, mixed> by field; those of a `#[Inlined]` stand among the rest */
    public function jsonSerialize(): array
    {
        $json = [];
        foreach (SchemaField::of(static::class) as $name => $field) {
            $value = $this->{$name};
            $value = $value instanceof Day ? $value->iso : $value;
            $json = $field->isInlined && $value instanceof self ? [...$json, ...$value->jsonSerialize()] : [...$json, $name => $value];
        }

        return $json;
    }
}
