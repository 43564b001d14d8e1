<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use JsonSerializable;
use LogicException;

/** A name that core/units gives. One name is one object, so that keys compare by `===`. */
abstract class Key implements JsonSerializable
{
    /** @var array<class-string, array<string, self>> by name */
    private static array $made = [];

    final private function __construct(public readonly string $value)
    {
    }

    /** @return list<static> all of them, in order */
    abstract public static function cases(): array;

    abstract protected static function isKnown(string $name): bool;

    /** @throws InvalidCatalogue */
    final public static function from(string $name): static
    {
        return static::tryFrom($name) ?? throw InvalidCatalogue::unknown(static::class, $name);
    }

    final public static function tryFrom(string $name): ?static
    {
        return static::isKnown($name) ? static::named($name) : null;
    }

    /** As the catalogue reads it, which knows the names. */
    final public static function named(string $name): static
    {
        $key = self::$made[static::class][$name] ??= new static($name);

        return $key instanceof static ? $key : throw new LogicException($name);
    }

    final public function is(string ...$names): bool
    {
        return in_array($this->value, $names, true);
    }

    final public function jsonSerialize(): string
    {
        return $this->value;
    }

    /** @return never a copy would be another object of the same name: what is kept keeps its value */
    final public function __serialize(): array
    {
        throw new LogicException('Keep the value of '.static::class." {$this->value}");
    }

    private function __clone()
    {
    }
}
