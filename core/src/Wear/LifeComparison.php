<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * Whether two kinds of part last differently: the log-rank test (Mantel, Cancer Chemotherapy Reports 50, 1966). At every
 * distance at which a part ended, the ends of the first kind are held against what would be expected if both wore alike.
 */
final readonly class LifeComparison
{
    /** Under this chance of seeing so much by luck the two are called different. */
    private const LUCK = 0.05;

    private function __construct(
        /** Chi-squared with one degree of freedom. */
        public float $chiSquared,
        /** The chance of a difference this great if both lasted alike. */
        public float $luck,
        /** Ends of the first kind, over what was expected: under 1 it lasts longer. Null where nothing was expected. */
        public ?float $hazard,
    ) {
    }

    /**
     * @param  list<Life>  $first
     * @param  list<Life>  $second
     */
    public static function of(array $first, array $second): self
    {
        $seen = count(array_filter($first, static fn (Life $life): bool => $life->endWasSeen()));
        $expected = 0.0;
        $variance = 0.0;
        $ofFirst = new SeenRunning($first);
        foreach (LifeCurve::endsOf([...$first, ...$second]) as [$ran, $ended, $atRisk]) {
            $share = $ofFirst->at($ran) / $atRisk;
            $expected += $ended * $share;
            $variance += $atRisk === 1 ? 0.0 : $ended * $share * (1 - $share) * ($atRisk - $ended) / ($atRisk - 1);
        }
        $chiSquared = $variance > 0 ? ($seen - $expected) ** 2 / $variance : 0.0;

        return new self($chiSquared, 2 * Normal::under(-sqrt($chiSquared)), $expected > 0 ? $seen / $expected : null);
    }

    public function isClear(): bool
    {
        return $this->luck < self::LUCK;
    }
}
