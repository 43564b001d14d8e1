<?php

declare(strict_types=1);

namespace App\Models;

use BackedEnum;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Unit\Key;

/** A column's value in one spelling, whether it comes from the database, from a request, or was just set. */
final class PlainValue
{
    public static function of(mixed $value): mixed
    {
        if (is_array($value)) {
            array_is_list($value) || ksort($value);

            return array_map(self::of(...), $value);
        }

        return match (true) {
            $value instanceof BackedEnum, $value instanceof Key => $value->value,
            $value instanceof Day => $value->iso,
            is_string($value) && is_numeric($value), is_int($value) => (float) $value,
            default => $value,
        };
    }
}
