<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

/** How far spacings may be from what is set and still be good enough, as shares: the shop's figure by crop. Domain, 22 and 23. */
final readonly class RateBand
{
    public const TYPICAL = 0.05;

    private const MOST = 0.5;

    /**
     * @param  float  $low  under 0, closer together than set
     * @param  float  $high  over 0, farther apart
     *
     * @throws InvalidRate
     */
    public function __construct(
        public float $low = -self::TYPICAL,
        public float $high = self::TYPICAL,
    ) {
        if ($low >= 0 || $high <= 0 || $low <= -self::MOST || $high >= self::MOST) {
            throw InvalidRate::band($low, $high);
        }
    }

    /** @param  float  $ratio  spacing found over spacing set */
    public function holds(float $ratio): bool
    {
        return $ratio >= 1 + $this->low && $ratio <= 1 + $this->high;
    }

    /** The edge that a ratio is nearer to, as a ratio itself. */
    public function edge(float $ratio): float
    {
        return abs($ratio - 1 - $this->low) < abs($ratio - 1 - $this->high) ? 1 + $this->low : 1 + $this->high;
    }
}
