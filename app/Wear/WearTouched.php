<?php

declare(strict_types=1);

namespace App\Wear;

use App\Record\Touched;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\Place;

/** Which checks a change has given another past: those that were read, and those that look at parts that were changed. */
final class WearTouched
{
    /** @return list<string> keys; those that do not wear among them */
    public static function checks(Touched $touched): array
    {
        return array_values(array_unique([...self::byParts($touched), ...self::byReadings($touched)]));
    }

    /** @return list<string> keys */
    public static function byParts(Touched $touched): array
    {
        $keys = [];
        foreach ($touched->slots as $slot) {
            array_push($keys, ...$slot->renews());
        }

        return array_map(static fn (CheckKey $key): string => $key->value, $keys);
    }

    /** @return list<string> keys */
    public static function byReadings(Touched $touched): array
    {
        $keys = [];
        foreach ($touched->read as $places) {
            array_push($keys, ...array_map(static fn (Place $place): string => $place->check->value, array_values($places)));
        }

        return array_values(array_unique($keys));
    }
}
