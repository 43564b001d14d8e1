<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** Which of the season's seed a meter has not been run with: lots of one size are alike to it, one whose size nobody knows is only like itself. */
final class SizesDue
{
    /**
     * @param  list<string>  $planned  lots that will be planted
     * @param  list<string>  $run  lots that it was run with this season
     * @param  array<string, float|null>  $sizes  millimetres, by lot in small letters; null where nobody knows
     * @return list<string> lots, one of each size
     */
    public static function of(array $planned, array $run, array $sizes): array
    {
        $key = static fn (string $lot): string => mb_strtolower(trim($lot));
        $due = [];
        foreach ($planned as $lot) {
            $size = $sizes[$key($lot)] ?? null;
            $isAlike = static fn (string $other): bool => $key($other) === $key($lot) || ($size !== null && isset($sizes[$key($other)]) && TagSeed::isOneSize($sizes[$key($other)], $size));
            if ($key($lot) !== '' && array_filter([...$run, ...$due], $isAlike) === []) {
                $due[] = $lot;
            }
        }

        return $due;
    }
}
