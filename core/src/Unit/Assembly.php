<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\Spec\RowUnitType;

/** One thing that a row unit or a planter is made of, and the kinds of it (domain, 2a). Worded under `assembly.<name>` and `<name>.<kind>`. */
final readonly class Assembly
{
    /**
     * @param  non-empty-list<string|bool|int|null>  $kinds
     * @param  array<array-key, string|bool|int|null>  $typical  by row-unit type; `*` for the others
     */
    public function __construct(
        public string $name,
        public array $kinds,
        private array $typical,
        /** Of the planter and not of its rows: rows cannot differ in it. */
        public bool $isOfWholePlanter = false,
    ) {
    }

    /** @throws InvalidCatalogue */
    public static function read(string $name, mixed $given, bool $isOfWholePlanter = false): self
    {
        $kinds = is_array($given) && is_array($given['kinds'] ?? null) ? array_values($given['kinds']) : [];
        $typical = is_array($given) && array_key_exists('typical', $given) ? $given['typical'] : throw InvalidCatalogue::shape($name);
        $assembly = new self($name, array_map(self::value(...), $kinds) ?: throw InvalidCatalogue::shape($name), array_map(self::value(...), is_array($typical) ? $typical : ['*' => $typical]), $isOfWholePlanter);
        foreach (RowUnitType::cases() as $type) {
            $assembly->has($assembly->typicalOf($type)) || throw InvalidCatalogue::unknown($name, "typical {$type->value}");
        }

        return $assembly;
    }

    public function has(mixed $kind): bool
    {
        return in_array($kind, $this->kinds, true);
    }

    /**
     * @param  array<mixed>  $kinds
     * @return list<string|bool|int|null> the same
     *
     * @throws InvalidCatalogue where one of them is not there
     */
    public function only(string $of, array $kinds): array
    {
        $strange = array_filter($kinds, fn (mixed $kind): bool => ! $this->has($kind));

        return $strange === [] ? array_map(self::value(...), array_values($kinds)) : throw InvalidCatalogue::unknown($of, "{$this->name} ".json_encode(array_values($strange)));
    }

    /** As row units of this type have it where nobody says otherwise. */
    public function typicalOf(RowUnitType $type): string|bool|int|null
    {
        return array_key_exists($type->value, $this->typical) ? $this->typical[$type->value] : $this->typical['*'] ?? null;
    }

    /** The kind that says it is not there; its first one where it always is. */
    public function absent(): string|bool|int|null
    {
        return in_array('none', $this->kinds, true) ? 'none' : $this->kinds[0];
    }

    private static function value(mixed $value): string|bool|int|null
    {
        return is_string($value) || is_bool($value) || is_int($value) ? $value : null;
    }
}
