<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Parts\Slot;

/**
 * How many parts of a slot break at random in a season, worn or not. Typical rates stand in core/jobs/breakages.json and count as
 * so many part seasons; the shop's own record goes before them the longer it is.
 */
final class Breakages
{
    private const TYPICAL_COUNTS_AS = 200.0;

    /**
     * For one fitted part and season.
     *
     * @param  int  $broken  that the shop took out because they had failed, 0 or more
     * @param  float  $partSeasons  fitted parts times seasons over which it was written down, 0 or more
     */
    public static function rate(Slot $slot, int $broken, float $partSeasons): float
    {
        static $typical = null;
        $typical ??= json_decode((string) file_get_contents(__DIR__.'/../../../jobs/breakages.json'), true, flags: JSON_THROW_ON_ERROR);
        /** @var array<string, float> $typical */
        $rate = $typical[$slot->value] ?? 0.005;

        return ($rate * self::TYPICAL_COUNTS_AS + $broken) / (self::TYPICAL_COUNTS_AS + $partSeasons);
    }
}
