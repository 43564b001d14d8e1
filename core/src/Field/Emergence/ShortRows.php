<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Emergence;

use Ustrel\Core\Meter\Binomial;

/**
 * Which rows stand thinner than the others by more than luck: given all plants of a count, a row's share of them is held against its
 * share of the length (exact binomial, one side), its false alarms over all rows by Holm. Plants that are spaced evenly scatter less
 * than that, so that it errs on the quiet side.
 */
final class ShortRows
{
    private const FALSE_ALARMS = 0.05;

    /**
     * @param  array<int, PlantCount>  $counts  by row, of one day
     * @return array<int, float> by row, its share of what the others have: 0.8 is a fifth short
     */
    public static function among(array $counts): array
    {
        $short = [];
        $left = $counts;
        // A row that is short makes the others' share look large: each is held against what is left without those before it.
        while (count($left) > 1) {
            [$plants, $feet] = self::sums($left);
            $chances = array_map(static fn (PlantCount $of): float => $plants === 0 ? 1.0 : self::atMost($of->plants, $plants, $of->feet / $feet), $left);
            asort($chances);
            $row = array_key_first($chances);
            if ($chances[$row] * count($left) > self::FALSE_ALARMS) {
                break;
            }
            $short[$row] = $left[$row];
            unset($left[$row]);
        }
        [$plants, $feet] = self::sums($left);
        $short = array_map(static fn (PlantCount $of): float => $of->plants / $of->feet / ($plants / $feet), $short);
        ksort($short);

        return $short;
    }

    /**
     * @param  array<int, PlantCount>  $counts
     * @return array{int, float} plants and feet
     */
    private static function sums(array $counts): array
    {
        return [array_sum(array_map(static fn (PlantCount $of): int => $of->plants, $counts)), array_sum(array_map(static fn (PlantCount $of): float => $of->feet, $counts))];
    }

    /** How likely so few or fewer of so many are the row's, where each is with this chance. */
    private static function atMost(int $count, int $of, float $chance): float
    {
        $sum = 0.0;
        for ($few = 0; $few <= $count; $few++) {
            $sum += exp(Binomial::logChoose($of, $few) + $few * log($chance) + ($of - $few) * log(1 - $chance));
        }

        return min(1.0, $sum);
    }
}
