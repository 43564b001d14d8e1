<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Emergence;

/**
 * How evenly plants came up: hours from 10 to 90 % of the last count, by straight lines between counts on the same length. Where counts
 * lie on one side of a share only, bounds; and until the count no longer rises, when to count again (domain, 15).
 *
 *     // 120 h 0, 144 h 14, 168 h 29 plants, still rising
 *     Evenness::of($counts)->hours    // 38.4, at least
 */
final readonly class Evenness
{
    /** The count no longer rises once it has risen by no more than this since the one before. */
    private const RISES = 0.05;

    /** Hours until the next count. */
    private const NEXT = 24.0;

    private function __construct(
        /** Plants of the last count, on the length. */
        public int $final,
        /** Hours after planting at which half of them were up; null where half were up at the first count. */
        public ?float $half,
        /** At the latest half were up by then: hours after planting. */
        public float $halfBy,
        /** Hours from 10 to 90 %; null where a share was passed before the first count. */
        public ?float $hours,
        /** It was not less, and not more, whatever happened between two counts. */
        public float $least,
        public float $most,
        /** The count no longer rises: it is the final stand. */
        public bool $isComplete,
        /** Hours after planting by which to count again; null where that is not needed. */
        public ?float $countAgain,
    ) {
    }

    /**
     * @param  list<PlantCount>  $counts  of one place
     * @return self|null null before anything is up, or with one count alone
     */
    public static function of(array $counts): ?self
    {
        usort($counts, static fn (PlantCount $one, PlantCount $other): int => $one->hours <=> $other->hours);
        $last = $counts[count($counts) - 1] ?? null;
        $before = $counts[count($counts) - 2] ?? null;
        if ($counts === [] || $last === null || $before === null || $last->plants === 0 || $last->hours === $before->hours) {
            return null;
        }
        $from = self::passes($counts, 0.1 * $last->plants);
        $half = self::passes($counts, 0.5 * $last->plants);
        $to = self::passes($counts, 0.9 * $last->plants);
        $isComplete = $last->plants - $before->plants <= self::RISES * $last->plants;

        return new self(
            $last->plants, $half[2], $half[1], $from[2] === null || $to[2] === null ? null : $to[2] - $from[2],
            max(0.0, $to[0] - $from[1]), $to[1] - $from[0], $isComplete, $isComplete ? null : $last->hours + self::NEXT,
        );
    }

    /**
     * When the counts first pass a number of plants.
     *
     * @param  non-empty-list<PlantCount>  $counts  by hours; the last has more
     * @return array{float, float, float|null} not before, by when at the latest, and by a straight line between the two; null before the first count
     */
    private static function passes(array $counts, float $plants): array
    {
        $below = null;
        foreach ($counts as $count) {
            if ($count->plants >= $plants) {
                return $below === null
                    ? [0.0, $count->hours, null]
                    : [$below->hours, $count->hours, $below->hours + ($count->hours - $below->hours) * ($plants - $below->plants) / ($count->plants - $below->plants)];
            }
            $below = $count;
        }

        return [$counts[0]->hours, $counts[count($counts) - 1]->hours, null];
    }
}
