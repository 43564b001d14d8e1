<?php

declare(strict_types=1);

namespace App\Record\Backup;

use Carbon\CarbonImmutable;

/** Which backups are kept: the newest of each of the last 7 days, 4 weeks and 12 months in which there is one. */
final class Retention
{
    private const KEPT = ['Y-m-d' => 7, 'o-W' => 4, 'Y-m' => 12];

    /**
     * @param  array<string, CarbonImmutable>  $made  days by name; of two of a day the name that sorts later is the newer
     * @return list<string> names
     */
    public static function of(array $made): array
    {
        krsort($made);
        uasort($made, static fn (CarbonImmutable $a, CarbonImmutable $b): int => $b <=> $a);
        $kept = [];
        foreach (self::KEPT as $span => $most) {
            $newest = [];
            foreach ($made as $name => $day) {
                $newest[$day->format($span)] ??= $name;
            }
            array_push($kept, ...array_slice(array_values($newest), 0, $most));
        }

        return array_values(array_unique($kept));
    }
}
