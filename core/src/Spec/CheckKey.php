<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\Key;

/** One thing looked at or measured; they stand in the order in which a row, and then the planter, is walked. Worded under `check.<value>`. */
final class CheckKey extends Key
{
    /** Places for checks of the shop's own: what each is stands in the spec sheet. */
    private const OWN = 24;

    public static function cases(): array
    {
        return [...self::shipped(), ...self::own()];
    }

    /** @return list<self> the checks that ship, in the order of the walk */
    public static function shipped(): array
    {
        return Catalogue::shipped()->walked;
    }

    /** @return list<self> the places for checks of the shop's own */
    public static function own(): array
    {
        return array_map(static fn (int $number): self => self::named("own_{$number}"), range(1, self::OWN));
    }

    /** Of a check that ships; a shop's own stands where its spec sheet says. */
    public function station(): Station
    {
        return Catalogue::shipped()->check($this)->station;
    }

    public function isOwn(): bool
    {
        return str_starts_with($this->value, 'own_');
    }

    protected static function isKnown(string $name): bool
    {
        return Catalogue::shipped()->hasCheck($name) || (preg_match('/^own_([1-9]\d?)$/', $name, $own) === 1 && (int) $own[1] <= self::OWN);
    }
}
