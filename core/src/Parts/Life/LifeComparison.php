<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Whether two kinds of part last differently: the log-rank test (Mantel, Cancer Chemotherapy Reports 50, 1966), its chance taken from
 * shuffling which part is of which kind (Good, Permutation Tests, 2000), since with few parts chi-squared calls too many different.
 */
final readonly class LifeComparison
{
    /** Under this chance of seeing so much by luck the two are called different. */
    private const LUCK = 0.05;

    /** With fewer ends of either kind than this nothing is told. */
    private const FEWEST_ENDS = 5;

    private const SHUFFLES = 1999;

    private function __construct(
        /** Ends of either kind were too few to tell. */
        public bool $tooFew,
        /** The chance of a difference this great if both lasted alike; null where too few have ended. */
        public ?float $luck,
        /** Ends of the first kind, over what was expected: under 1 it lasts longer. Null where nothing was expected. */
        public ?float $hazard,
    ) {
    }

    /**
     * The same lives always come to the same: the shuffling starts from a fixed seed.
     *
     * @param  list<Life>  $first
     * @param  list<Life>  $second
     */
    public static function of(array $first, array $second): self
    {
        [$ofFirst, $ofSecond] = [self::ends($first), self::ends($second)];
        $scores = self::scores([...$first, ...$second]);
        $found = array_sum(array_slice($scores, 0, count($first)));
        $expected = $ofFirst - $found;
        $tooFew = min($ofFirst, $ofSecond) < self::FEWEST_ENDS;

        return new self($tooFew, $tooFew ? null : self::luck($scores, count($first), abs($found)), $expected > 1e-9 ? $ofFirst / $expected : null);
    }

    public function isClear(): bool
    {
        return $this->luck !== null && $this->luck < self::LUCK;
    }

    /** @param  list<Life>  $lives */
    private static function ends(array $lives): int
    {
        return count(array_filter($lives, static fn (Life $life): bool => $life->endWasSeen()));
    }

    /**
     * What each part adds to the log-rank test's ends less what was expected: 1 where it ended, less the hazard that it has run
     * through, by the Nelson and Aalen estimate of all parts together.
     *
     * @param  list<Life>  $lives
     * @return list<float>
     */
    private static function scores(array $lives): array
    {
        $steps = LifeCurve::endsOf($lives);

        return array_map(static function (Life $life) use ($steps): float {
            $score = $life->endWasSeen() ? 1.0 : 0.0;
            foreach ($steps as [$ran, $ended, $atRisk]) {
                $score -= $ran > $life->since && $ran <= $life->ran ? $ended / $atRisk : 0.0;
            }

            return $score;
        }, $lives);
    }

    /** @param  list<float>  $scores */
    private static function luck(array $scores, int $first, float $found): float
    {
        $random = new Randomizer(new Mt19937(1));
        $asFar = 1;
        for ($shuffle = 0; $shuffle < self::SHUFFLES; $shuffle++) {
            $scores = $random->shuffleArray($scores);
            $asFar += abs(array_sum(array_slice($scores, 0, $first))) >= $found - 1e-9 ? 1 : 0;
        }

        return $asFar / (self::SHUFFLES + 1);
    }
}
