<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** Seed as its tag says it: domain, 24. Only some shops have a caliper. */
final readonly class TagSeed
{
    private const GRAMS_A_POUND = 453.59237;

    /** Seeds whose sizes differ by less are of one size, millimeters. */
    private const ONE_SIZE = 0.15;

    /** Seeds per pound of one size and class may differ by this share: domain, 24. */
    private const ONE_CLASS = 0.1;

    /** An estimated diameter can be off by this share, for seed is no ball. */
    private const SHAPE = 0.15;

    /** Typical grams per cubic centimeter, by a word of the crop's name; the first that is in it counts. */
    private const DENSITIES = [
        'popcorn' => 1.25, 'chickpea' => 1.3, 'soybean' => 1.2, 'soya' => 1.2, 'corn' => 1.25, 'maize' => 1.25, 'bean' => 1.3, 'pea' => 1.3,
        'sorghum' => 1.3, 'milo' => 1.3, 'canola' => 1.1, 'sunflower' => 0.7, 'cotton' => 1.0, 'beet' => 1.1,
    ];

    /** Seeds per pound that a crop can have, from its largest to its smallest kinds; typical values, wide. */
    private const PER_POUND = [
        'popcorn' => [1_500, 8_000], 'chickpea' => [500, 3_000], 'soybean' => [1_200, 6_000], 'soya' => [1_200, 6_000], 'corn' => [700, 6_000], 'maize' => [700, 6_000],
        'bean' => [400, 6_000], 'pea' => [1_000, 6_000], 'sorghum' => [8_000, 30_000], 'milo' => [8_000, 30_000], 'canola' => [60_000, 250_000],
        'sunflower' => [2_000, 12_000], 'cotton' => [2_500, 8_000], 'beet' => [5_000, 60_000],
    ];

    /** Their names have the name of another crop in them. */
    private const OTHERS = ['peanut', 'pearl'];

    public string $crop;

    public string $sizeClass;

    public ?float $seedsPerPound;

    private ?SeedMixture $mixture;

    /**
     * @param  float|null  $size  by caliper or sieve, millimeters on average; null where nobody measured
     * @param  string  $sizeClass  such as "medium flat" or "F14"; empty where the tag has none
     * @param  float|null  $seedsPerPound  10 to 500,000; null where the tag does not say
     * @param  list<array{crop: string, share: float, seeds_per_pound: float}>  $mixture  kinds in one bag, which then say how many make a pound; empty of one kind
     *
     * @throws InvalidRun
     */
    public function __construct(public ?float $size, string $crop = '', string $sizeClass = '', ?float $seedsPerPound = null, array $mixture = [])
    {
        $this->mixture = $mixture === [] ? null : SeedMixture::of($mixture);
        $seedsPerPound = $this->mixture === null ? $seedsPerPound : $this->mixture->seedsPerPound();
        $this->seedsPerPound = $seedsPerPound;
        $seedsPerPound === null || ($seedsPerPound >= 10 && $seedsPerPound <= 500_000) || throw InvalidRun::seedsPerPound();
        $this->crop = self::plain($crop);
        $this->sizeClass = self::plain($sizeClass);
    }

    /**
     * Between which millimeters the seed will be, by how many make a pound: of a ball of the same volume
     * d = (6 m / (pi rho))^(1/3), and as far off as seed is no ball. Of a mixture from its smallest kind to its largest.
     *
     * @return array{float, float}|null null where the tag does not tell, or the crop's density is not known
     */
    public function estimate(): ?array
    {
        if ($this->mixture !== null) {
            return $this->mixture->estimate();
        }
        $density = self::ofCrop(self::DENSITIES, $this->crop);
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

    public static function isOneSize(float $one, float $other): bool
    {
        return abs($one - $other) < self::ONE_SIZE - 1e-9;
    }

    /**
     * Whether seed of two lots is of one size, and by what that is known: by caliper, by the class on both tags, or by seeds per
     * pound of one crop. Measured beats meant; a class whose counts differ by more than a tenth is not one size.
     *
     * @return 'measured'|'meant'|'estimated'|null null where it is not, or nothing tells
     */
    public function sizedLike(self $other): ?string
    {
        if ($this->crop !== '' && $other->crop !== '' && $this->crop !== $other->crop) {
            return null;
        }
        if ($this->size !== null && $other->size !== null) {
            return self::isOneSize($this->size, $other->size) ? 'measured' : null;
        }
        [$class, $count] = [$this->isOfClass($other->crop, $other->sizeClass), $this->countsLike($other)];

        return match (true) {
            $class === false || $count === false => null,
            $class === true => 'meant',
            $count === true && $this->crop !== '' && $other->crop !== '' => 'estimated',
            default => null,
        };
    }

    private function countsLike(self $other): ?bool
    {
        return $this->seedsPerPound === null || $other->seedsPerPound === null ? null
            : max($this->seedsPerPound, $other->seedsPerPound) <= (1 + self::ONE_CLASS + 1e-9) * min($this->seedsPerPound, $other->seedsPerPound);
    }

    /**
     * A count that no seed of its crop has, per ounce or kilo taken for pounds; of a mixture that of the first such kind.
     *
     * @return array{crop: string, count: float, least: int, most: int}|null
     */
    public function cannotBe(): ?array
    {
        if ($this->mixture !== null) {
            return $this->mixture->cannotBe();
        }
        $range = $this->seedsPerPound === null ? null : self::ofCrop(self::PER_POUND, $this->crop);

        return $range === null || ($this->seedsPerPound >= $range[0] && $this->seedsPerPound <= $range[1]) ? null
            : ['crop' => $this->crop, 'count' => $this->seedsPerPound, 'least' => $range[0], 'most' => $range[1]];
    }

    /** Seeds in so many pounds; null where the tag does not tell. */
    public function seedsIn(float $pounds): ?int
    {
        return $this->seedsPerPound === null ? null : (int) round($pounds * $this->seedsPerPound);
    }

    /** Pounds that so many seeds are; null where the tag does not tell. */
    public function poundsOf(float $seeds): ?float
    {
        return $this->seedsPerPound === null ? null : $seeds / $this->seedsPerPound;
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $known
     * @return T|null
     */
    private static function ofCrop(array $known, string $name): mixed
    {
        foreach (self::OTHERS as $other) {
            if (str_contains($name, $other)) {
                return null;
            }
        }
        foreach ($known as $crop => $of) {
            if (str_contains($name, $crop)) {
                return $of;
            }
        }

        return null;
    }

    private static function plain(string $words): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $words)));
    }
}
