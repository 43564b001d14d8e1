<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Measure\Day;

/**
 * A date of the database as core's day.
 *
 * @implements CastsAttributes<Day, Day|string>
 */
final class AsDay implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Day
    {
        return $value === null ? null : Day::of((string) $value);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : ($value instanceof Day ? $value : Day::of($value))->iso;
    }
}
