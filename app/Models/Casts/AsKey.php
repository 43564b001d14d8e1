<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Unit\Key;

/**
 * A name of the catalogue, as `AsKey::class.':'.CheckKey::class`.
 *
 * @implements CastsAttributes<Key, Key|string>
 */
final readonly class AsKey implements CastsAttributes
{
    /** @param  class-string<Key>  $of */
    public function __construct(private string $of)
    {
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): ?Key
    {
        return is_string($value) ? $this->of::from($value) : null;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Key ? $value->value : (is_string($value) ? $this->of::from($value)->value : null);
    }
}
