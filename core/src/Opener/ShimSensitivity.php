<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\ReadingError;

/**
 * How much shorter the contact gets for a shim added on each side: half an inch, give or take a quarter, until the
 * shop's own moves say better. Normal mean with a normal prior (conjugate; e.g. Gelman et al., Bayesian Data Analysis).
 */
final readonly class ShimSensitivity
{
    private const PRIOR_MM = 12.7;

    private const PRIOR_SD_MM = 6.35;

    private function __construct(
        /** Millimetres a pair. */
        public float $mean,
        public float $sd,
        /** Moves that it was learned from. */
        public int $moves,
    ) {
    }

    /** @param  list<ShimMove>  $moves */
    public static function learn(array $moves): self
    {
        // A move is known by the difference of two readings.
        $noise = 2 * ReadingError::of(CheckKey::BladeContactLength)->variance();
        $precision = 1 / self::PRIOR_SD_MM ** 2;
        $sum = self::PRIOR_MM * $precision;
        $count = 0;
        foreach ($moves as $move) {
            if ($move->tells()) {
                // before - after = pairs x sensitivity + noise
                $precision += $move->pairs ** 2 / $noise;
                $sum += $move->pairs * ($move->before - $move->after) / $noise;
                $count++;
            }
        }

        return new self($sum / $precision, sqrt(1 / $precision), $count);
    }
}
