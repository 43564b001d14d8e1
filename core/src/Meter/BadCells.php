<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/**
 * Which cells of a disc or plate go wrong apart from chance: places that went wrong are told by cell, and a cell with more of
 * them than an even spread lets expect is named. The exact test for given sums is held against all cells at once (Bonferroni),
 * so that of discs that are whole one in a hundred has a cell named; it is then left out and the others are looked at again.
 */
final readonly class BadCells
{
    private const FALSE_ALARMS = 0.01;

    /** So often a cell that misses half is to be named. */
    private const FOUND = 0.9;

    /** Of runs that are longer than any. */
    private const MOST_PLACES = 10_000;

    /** Where so many places go wrong anyway, one cell more is not what to look at. */
    private const HOPELESS = 0.25;

    /**
     * @param  array<int, array{int, int}>  $cells  named, by number from 0 at the first seed of the run: how often it went wrong, of how many turns
     * @param  int|null  $seedsToName  that it takes until a cell that goes wrong every other turn is named nine times in ten; null where that is more than anybody runs
     */
    private function __construct(
        public array $cells,
        public ?int $seedsToName,
        public float $otherwise,
    ) {
    }

    /**
     * @param  non-empty-list<bool>  $wrong  by place in the order in which they passed
     * @param  int  $cells  of the disc or plate, 1 to 400
     *
     * @throws InvalidRun
     */
    public static function of(array $wrong, int $cells): self
    {
        $cells >= 1 && $cells <= 400 || throw InvalidRun::cells();
        $turns = $counts = array_fill(0, $cells, 0);
        foreach ($wrong as $place => $isWrong) {
            $turns[$place % $cells]++;
            $counts[$place % $cells] += $isWrong ? 1 : 0;
        }
        $named = [];
        do {
            [$all, $bad, $worst, $least] = [array_sum($turns), array_sum($counts), null, self::FALSE_ALARMS / count($turns)];
            foreach ($counts as $cell => $count) {
                $chance = $count < 2 || $count * $all <= $bad * $turns[$cell] ? 1.0 : self::chance($count, $turns[$cell], $bad, $all);
                [$worst, $least] = $chance < $least ? [$cell, $chance] : [$worst, $least];
            }
            if ($worst !== null) {
                $named[$worst] = [$counts[$worst], $turns[$worst]];
                unset($counts[$worst], $turns[$worst]);
            }
        } while ($worst !== null && count($turns) > 1);
        ksort($named);
        $otherwise = $all === 0 ? 0.0 : array_sum($counts) / max(1, array_sum($turns));

        return new self($named, self::seedsToName($cells, $otherwise), $otherwise);
    }

    /** So many or more of all that went wrong in so many of all places, by chance: the hypergeometric tail. */
    private static function chance(int $count, int $turns, int $wrong, int $places): float
    {
        $sum = 0.0;
        for ($more = $count; $more <= min($turns, $wrong); $more++) {
            $sum += exp(Binomial::logChoose($turns, $more) + Binomial::logChoose($places - $turns, $wrong - $more) - Binomial::logChoose($places, $wrong));
        }

        return $sum;
    }

    private static function seedsToName(int $cells, float $otherwise): ?int
    {
        for ($turns = 2; $turns * $cells <= self::MOST_PLACES && $otherwise < self::HOPELESS; $turns++) {
            $places = $turns * $cells;
            for ($least = max(2, (int) ($otherwise * $turns)); $least <= $turns; $least++) {
                $wrong = $least + (int) round($otherwise * ($places - $turns));
                if (self::chance($least, $turns, $wrong, $places) < self::FALSE_ALARMS / $cells) {
                    break;
                }
            }
            $found = 0.0;
            for ($count = $least; $count <= $turns; $count++) {
                $found += exp(Binomial::logChoose($turns, $count) - $turns * M_LN2);
            }
            if ($found >= self::FOUND) {
                return $places;
            }
        }

        return null;
    }
}
