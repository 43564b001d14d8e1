<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/**
 * Which meters are really worse or better than the others: each is held against all others together by Fisher's exact test, and
 * the false alarms over all of them are held under one set in twenty by Holm (Scandinavian Journal of Statistics 6, 1979).
 */
final class Differing
{
    private const FALSE_ALARMS = 0.045;

    /** Two runs differ where that is due to luck less often than this. */
    public const LUCK = 0.05;

    /** Figures that are the same but for rounding count as the same. */
    private const CLOSE = 1e-7;

    /**
     * @param  array<int, Counts>  $runs  by row; of one alone nothing can be said
     * @return array<int, bool> rows that differ: true where it is worse
     */
    public static function among(array $runs): array
    {
        $places = array_sum(array_map(static fn (Counts $run): int => $run->places, $runs));
        $wrong = array_sum(array_map(static fn (Counts $run): int => $run->skips + $run->doubles, $runs));
        $chances = array_map(static fn (Counts $run): float => $places === $run->places ? 1.0 : self::chance($run->skips + $run->doubles, $run->places, $wrong, $places), $runs);
        asort($chances);
        $differ = [];
        $left = count($runs);
        foreach ($chances as $row => $chance) {
            if ($chance * $left-- > self::FALSE_ALARMS) {
                break;
            }
            $own = ($runs[$row]->skips + $runs[$row]->doubles) / $runs[$row]->places;
            $differ[$row] = $own > $wrong / $places;
        }
        ksort($differ);

        return $differ;
    }

    /** How likely two runs of meters that are alike are as far apart as these, or farther. */
    public static function chanceBetween(Counts $one, Counts $other): float
    {
        return self::chance($one->skips + $one->doubles, $one->places, $one->skips + $one->doubles + $other->skips + $other->doubles, $one->places + $other->places);
    }

    /** How likely a split of all that went wrong is that is no likelier than this one, where all are the same. */
    private static function chance(int $count, int $of, int $wrong, int $places): float
    {
        $whole = Binomial::logChoose($places, $wrong);
        $likely = static fn (int $here): float => Binomial::logChoose($of, $here) + Binomial::logChoose($places - $of, $wrong - $here) - $whole;
        $own = $likely($count) + self::CLOSE;
        $sum = 0.0;
        for ($here = max(0, $wrong - ($places - $of)); $here <= min($of, $wrong); $here++) {
            $at = $likely($here);
            $sum += $at <= $own ? exp($at) : 0.0;
        }

        return min(1.0, $sum);
    }
}
