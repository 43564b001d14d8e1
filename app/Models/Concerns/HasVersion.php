<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\PlainValue;

/** Tells whether what a form was filled from still stands, so that nobody overwrites what somebody else saved meanwhile. */
trait HasVersion
{
    /** @return list<string> columns that the form writes */
    abstract protected function written(): array;

    /** Changes with what is in the form, and with nothing else. */
    public function version(): string
    {
        return self::hash(array_map(fn (string $column): mixed => PlainValue::of($this->getAttribute($column)), $this->written()));
    }

    /** @return array<string, string> the same of each column by itself, for a document that several forms write a part of */
    public function versions(): array
    {
        return array_combine($this->written(), array_map(fn (string $column): string => self::hash(PlainValue::of($this->getAttribute($column))), $this->written()));
    }

    private static function hash(mixed $value): string
    {
        return substr(hash('sha256', json_encode($value, JSON_THROW_ON_ERROR)), 0, 16);
    }
}
