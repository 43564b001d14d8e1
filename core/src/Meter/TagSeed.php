<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** Seed as its tag says it: domain, 24. Only some shops have a caliper. */
final readonly class TagSeed
{
    private const GRAMS_A_POUND = 453.59237;

    /** An estimated diameter can be off by this share, for seed is no ball. */
    private const SHAPE = 0.15;

    /** Typical grams per cubic centimeter, by a word of the crop's name; the first that is in it counts. */
    private const DENSITIES = [
        'popcorn' => 1.25, 'chickpea' => 1.3, 'soybean' => 1.2, 'soya' => 1.2, 'corn' => 1.25, 'maize' => 1.25, 'bean' => 1.3, 'pea' => 1.3,
        'sorghum' => 1.3, 'milo' => 1.3, 'canola' => 1.1, 'sunflower' => 0.7, 'cotton' => 1.0, 'beet' => 1.1,
    ];

    /** Their names have the name of another crop in them. */
    private const OTHERS = ['peanut', 'pearl'];

    public string $crop;

    public string $sizeClass;

    /**
     * @param  float|null  $size  by caliper or sieve, millimeters on average; null where nobody measured
     * @param  string  $sizeClass  such as "medium flat" or "F14"; empty where the tag has none
     * @param  float|null  $seedsPerPound  10 to 500,000; null where the tag does not say
     *
     * @throws InvalidRun
     */
    public function __construct(public ?float $size, string $crop = '', string $sizeClass = '', public ?float $seedsPerPound = null)
    {
        $seedsPerPound === null || ($seedsPerPound >= 10 && $seedsPerPound <= 500_000) || throw InvalidRun::seedsPerPound();
        $this->crop = self::plain($crop);
        $this->sizeClass = self::plain($sizeClass);
    }

    /**
     * Between which millimeters the seed will be, by how many make a pound: of a ball of the same volume
     * d = (6 m / (pi rho))^(1/3), and as far off as seed is no ball.
     *
     * @return array{float, float}|null null where the tag does not tell, or the crop's density is not known
     */
    public function estimate(): ?array
    {
        $density = $this->density();
        if ($density === null || $this->seedsPerPound === null) {
            return null;
        }
        $millimeters = 10 * (6 * self::GRAMS_A_POUND / $this->seedsPerPound / (M_PI * $density)) ** (1 / 3);

        return [$millimeters * (1 - self::SHAPE), $millimeters * (1 + self::SHAPE)];
    }

    /** Whether a disc that is meant for a class of a crop is meant for this; null where one of them does not say. */
    public function isOfClass(string $crop, string $sizeClass): ?bool
    {
        [$crop, $sizeClass] = [self::plain($crop), self::plain($sizeClass)];
        if ($this->sizeClass === '' || $sizeClass === '') {
            return null;
        }

        return $this->sizeClass === $sizeClass && ($crop === '' || $this->crop === '' || $crop === $this->crop);
    }

    private function density(): ?float
    {
        foreach (self::OTHERS as $other) {
            if (str_contains($this->crop, $other)) {
                return null;
            }
        }
        foreach (self::DENSITIES as $crop => $density) {
            if (str_contains($this->crop, $crop)) {
                return $density;
            }
        }

        return null;
    }

    private static function plain(string $words): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $words)));
    }
}
