<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

/**
 * Spacing found over spacing set, r, with its 90 % interval r / (1 + e) to r / (1 - e), e = 1.645 CV / sqrt(n): domain, 22. Over 1
 * seeds lie farther apart than they should, and fewer are planted.
 *
 *     Rate::of([228.6, 229.0, 228.2], 152.4)->ratio    // 1.5
 */
final readonly class Rate
{
    private const Z = 1.645;

    /** More spacings than this nobody digs to be sure. */
    public const MOST = 300;

    private function __construct(
        public float $ratio,
        public float $low,
        /** INF where so few spacings that scatter so much say nothing. */
        public float $high,
        /** Of the spacings, as a share of their mean. */
        public float $cv,
        public int $spacings,
        public RateVerdict $verdict,
        /** Spacings to dig besides to be sure; 0 where it is sure, null where more than MOST would be needed. */
        public ?int $more,
    ) {
    }

    /**
     * @param  list<float>  $spacings  over 0, in the unit of the spacing that is set
     * @param  float  $set  over 0
     * @param  float|null  $cv  how much they scatter, where it is known better than by these few
     *
     * @throws InvalidRate
     */
    public static function of(array $spacings, float $set, RateBand $band = new RateBand, ?float $cv = null): self
    {
        $count = count($spacings);
        if ($count < 2 || $set <= 0 || min($spacings) <= 0) {
            throw InvalidRate::spacings();
        }
        $mean = array_sum($spacings) / $count;
        $cv ??= sqrt(array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $spacings)) / ($count - 1)) / $mean;
        $ratio = $mean / $set;
        $error = self::Z * $cv / sqrt($count);
        [$low, $high] = [$ratio / (1 + $error), $error < 1 ? $ratio / (1 - $error) : INF];
        $verdict = match (true) {
            $low >= 1 + $band->low && $high <= 1 + $band->high => RateVerdict::Sound,
            $high < 1 + $band->low || $low > 1 + $band->high => RateVerdict::Off,
            default => RateVerdict::Unsure,
        };

        return new self($ratio, $low, $high, $cv, $count, $verdict, $verdict === RateVerdict::Unsure ? self::more($ratio, $cv, $count, $band) : 0);
    }

    /** (1.645 CV / |r / edge - 1|)^2 - n, for the nearer edge of the band. */
    private static function more(float $ratio, float $cv, int $count, RateBand $band): ?int
    {
        $off = abs($ratio / $band->edge($ratio) - 1);
        $more = $off > 0 ? (self::Z * $cv / $off) ** 2 - $count : INF;

        return $more > self::MOST ? null : max(1, (int) ceil($more));
    }
}
