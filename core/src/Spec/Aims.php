<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Field\Rate\RateBand;

/** What counts as good for a crop and size of seed: the shop's figures, typical ones where it says nothing. Domain, 23. */
final readonly class Aims
{
    /** Share of places with exactly one seed. */
    public const SINGULATION = 0.98;

    /** How far a row may plant deeper or shallower than wanted, millimetres: a quarter of an inch. */
    public const DEPTH_BAND = 6.35;

    /** Scatter of single spacings, as a share of what is set. */
    public const SPACING_CV = 0.3;

    /** 90 % of a normal distribution, on one side. */
    private const Z = 1.645;

    /** From 10 to 90 % emerged. */
    public const EMERGENCE_HOURS = 48.0;

    public function __construct(
        public float $singulation = self::SINGULATION,
        public RateBand $rate = new RateBand,
        public float $depthBand = self::DEPTH_BAND,
        public float $emergenceHours = self::EMERGENCE_HOURS,
        public float $spacingCv = self::SPACING_CV,
        /** Wanted, millimetres; null where the shop has none. */
        public ?float $depth = null,
    ) {
    }

    /**
     * @param  array<string, float|null>  ...$said  singulation, rate_low, rate_high, depth_band, emergence_hours, spacing_cv and depth: of this size, of
     *                                              the crop, of all crops; the first that says a figure counts
     */
    public static function of(array ...$said): self
    {
        $figure = static function (string $key) use ($said): ?float {
            foreach ($said as $of) {
                if (isset($of[$key])) {
                    return $of[$key];
                }
            }

            return null;
        };

        return new self(
            $figure('singulation') ?? self::SINGULATION,
            new RateBand($figure('rate_low') ?? -RateBand::TYPICAL, $figure('rate_high') ?? RateBand::TYPICAL),
            $figure('depth_band') ?? self::DEPTH_BAND,
            $figure('emergence_hours') ?? self::EMERGENCE_HOURS,
            $figure('spacing_cv') ?? self::SPACING_CV,
            $figure('depth'),
        );
    }

    /**
     * Whether seeds lie less evenly than wanted, by more than luck: a scatter from n spacings is right to 1 / sqrt(2 n) of itself.
     *
     * @param  float  $scatter  of single spacings, as a share of what is set
     * @param  int  $singles  1 or more
     */
    public function isUneven(float $scatter, int $singles): bool
    {
        return $scatter / (1 + self::Z / sqrt(2 * $singles)) > $this->spacingCv;
    }

    /**
     * @param  float  $depth  found, millimetres
     * @param  float  $wanted  millimetres; what a rule shows as on the edge of the band is in it
     */
    public function isOffDepth(float $depth, float $wanted): bool
    {
        return round(abs($depth - $wanted), 1) > round($this->depthBand, 1);
    }
}
