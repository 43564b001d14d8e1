<?php

declare(strict_types=1);

namespace App\Wear;

use App\Record\Affected;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\Place;

/** Which checks a change has given another past: those that were read, and those that look at parts that were changed. */
final class AffectedChecks
{
    /** @return list<string> keys; those that do not wear among them */
    public static function checks(Affected $affected): array
    {
        return array_values(array_unique([...self::byParts($affected), ...self::byReadings($affected)]));
    }

    /** @return list<string> keys */
    public static function byParts(Affected $affected): array
    {
        $keys = [];
        foreach ($affected->slots as $slot) {
            array_push($keys, ...$slot->renews());
        }

        return array_map(static fn (CheckKey $key): string => $key->value, $keys);
    }

    /** @return list<string> keys */
    public static function byReadings(Affected $affected): array
    {
        $keys = [];
        foreach ($affected->read as $places) {
            array_push($keys, ...array_map(static fn (Place $place): string => $place->check->value, array_values($places)));
        }

        return array_values(array_unique($keys));
    }
}
