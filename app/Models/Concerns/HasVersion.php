<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use BackedEnum;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Ustrel\Core\Measure\Day;

/** Tells whether what a form was filled from still stands, so that nobody overwrites what somebody else saved meanwhile. */
trait HasVersion
{
    /** @return list<string> columns that the form writes */
    abstract protected function written(): array;

    /** Changes with what is in the form, and with nothing else. */
    public function version(): string
    {
        $values = array_map(fn (string $column): mixed => self::plain($this->getAttribute($column)), $this->written());

        return substr(hash('sha256', json_encode($values, JSON_THROW_ON_ERROR)), 0, 16);
    }

    /**
     * @param  string|null  $seen  version that was changed; null of who does not ask
     * @param  array<string, mixed>  $columns  that are to be saved: where they stand already, the answer to them was lost
     *
     * @throws ConflictHttpException where another one stands by now
     */
    public function expectVersion(?string $seen, array $columns): void
    {
        if ($seen !== null && $seen !== $this->version() && (clone $this)->fill($columns)->version() !== $this->version()) {
            throw new ConflictHttpException(__('refused.changed_meanwhile'));
        }
    }

    /** As it is whether it comes from the database or was just set. */
    private static function plain(mixed $value): mixed
    {
        if (is_array($value)) {
            array_is_list($value) || ksort($value);

            return array_map(self::plain(...), $value);
        }

        return match (true) {
            $value instanceof BackedEnum => $value->value,
            $value instanceof Day => $value->iso,
            is_string($value) && is_numeric($value), is_int($value) => (float) $value,
            default => $value,
        };
    }
}
