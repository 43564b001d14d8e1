<?php

declare(strict_types=1);

namespace App\Http\Api;

use Carbon\CarbonImmutable;
use DateTimeInterface;
use JsonSerializable;
use ReflectionClass;
use stdClass;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;

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
            if ($field->isInlined && $value instanceof self) {
                $json += $value->jsonSerialize();
            } elseif ($value !== null || ! $field->isOmittedWhenNull) {
                $json[$name] = $field->isMap && $value === [] ? new stdClass : self::plain($value);
            }
        }

        return $json;
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Day => $value->iso,
            $value instanceof Moment => $value->toIso(),
            $value instanceof DateTimeInterface => CarbonImmutable::instance($value)->toIso8601ZuluString('millisecond'),
            is_array($value) => array_map(self::plain(...), $value),
            default => $value,
        };
    }
}
