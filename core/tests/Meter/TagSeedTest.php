<?php

declare(strict_types=1);

use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\SeedDisc;
use Ustrel\Core\Meter\SeedMixture;
use Ustrel\Core\Meter\TagSeed;

it('estimates how large seed is by how many make a pound', function (string $crop, int $perPound, float $millimeters): void {
    [$least, $most] = (new TagSeed(null, $crop, '', $perPound))->estimate();
    // Fifteen parts in a hundred either way, for seed is no ball.
    expect(($least + $most) / 2)->toEqualWithDelta($millimeters, 0.006)
        ->and($least / $most)->toEqualWithDelta(0.85 / 1.15, 1e-9);
})->with([
    // Twice the radius of a ball of the seed's volume in cubic millimeters, worked out apart.
    ['corn', 1600, 7.57],
    ['corn', 1400, 7.91],
    ['corn', 2200, 6.80],
    ['Popcorn, yellow', 3000, 6.14],
    ['popcorn', 2800, 6.28],
    ['soybean', 2600, 6.52],
    ['Soybeans', 3200, 6.09],
    ['chickpeas', 1000, 8.73],
    ['chickpea', 850, 9.22],
    ['field pea', 2000, 6.93],
    ['dry bean', 1500, 7.63],
    ['sorghum', 14000, 3.62],
    ['grain sorghum', 16000, 3.47],
    ['milo', 13000, 3.71],
    ['canola', 110000, 1.93],
    ['canola', 140000, 1.78],
    ['sunflower', 6000, 5.91],
    ['oil sunflower', 8500, 5.26],
    ['cotton', 4500, 5.77],
    ['cotton', 5200, 5.50],
    ['sugar beet pellet', 20000, 3.40],
    ['beet', 15000, 3.74],
    ['sweet corn', 2500, 6.52],
    ['maize', 1500, 7.73],
    ['white corn', 1300, 8.11], ['yellow popcorn', 2000, 7.02], ['popcorn, hybrid', 4500, 5.36], ['black beans', 2300, 6.62], ['navy bean', 2500, 6.44], ['pinto bean', 1200, 8.22],
    ['soybean, food', 1800, 7.37], ['kabuli chickpea', 700, 9.84], ['yellow pea', 1800, 7.18], ['forage sorghum', 17000, 3.40], ['spring canola', 100000, 1.99], ['confection sunflower', 3500, 7.07],
    ['upland cotton', 4800, 5.65], ['red beet', 25000, 3.16], ['milo', 15000, 3.54], ['corn', 2000, 7.02],
]);

it('says which counts no seed of a crop can have: per ounce taken for pounds, or per kilo', function (string $crop, float $perPound, ?array $range): void {
    expect((new TagSeed(null, $crop, '', $perPound))->cannotBe())->toBe($range === null ? null : ['crop' => mb_strtolower($crop), 'count' => $perPound, 'least' => $range[0], 'most' => $range[1]]);
})->with([
    // 1,600 per ounce are 25,600 per pound; 100 per ounce would be corn.
    ['corn', 25_600.0, [700, 6_000]], ['Popcorn', 100.0, [1_500, 8_000]], ['canola', 7_000.0, [60_000, 250_000]], ['corn', 1_600.0, null], ['canola', 110_000.0, null],
    ['soybeans', 6_001.0, [1_200, 6_000]], ['soybeans', 6_000.0, null], ['okra', 25_600.0, null], ['peanuts', 600.0, null], ['', 25_600.0, null],
]);

it('reads a mixture by its kinds: how many make a pound, how large they are, and how many of each', function (): void {
    // By weight 60 of peas at 2,000 and 40 of canola at 120,000: 1,200 + 48,000 in a pound.
    $mixture = SeedMixture::of($kinds = [['crop' => 'peas', 'share' => 0.6, 'seeds_per_pound' => 2_000.0], ['crop' => 'canola', 'share' => 0.4, 'seeds_per_pound' => 120_000.0]]);
    $seed = new TagSeed(null, 'cover crop', '', 9_999.0, $kinds);
    expect($seed->seedsPerPound)->toEqualWithDelta(49_200.0, 1e-6)->and($mixture->each(492_000.0))->toEqual([12_000.0, 480_000.0])
        // Canola at 120,000 is 1.87 mm, less 15 in 100: 1.59. A pea at 2,000 is 6.93 mm, and 15 more: 7.97.
        ->and($seed->estimate()[0])->toEqualWithDelta(1.59, 0.01)->and($seed->estimate()[1])->toEqualWithDelta(7.97, 0.01)->and($seed->cannotBe())->toBeNull()
        // Shares as they are rounded on a tag count as parts of the whole.
        ->and(SeedMixture::of(array_fill(0, 3, ['crop' => 'oats', 'share' => 0.333, 'seeds_per_pound' => 9_000.0]))->seedsPerPound())->toEqualWithDelta(9_000.0, 1e-6)
        ->and(SeedMixture::of([['crop' => 'vetch', 'share' => 0.5, 'seeds_per_pound' => 16_000.0], ['crop' => 'peas', 'share' => 0.5, 'seeds_per_pound' => 2_000.0]])->estimate())->toBeNull();
    // A kind of which so many cannot be is named.
    expect((new TagSeed(null, 'cover crop', '', null, [['crop' => 'peas', 'share' => 0.5, 'seeds_per_pound' => 2_000.0], ['crop' => 'Canola', 'share' => 0.5, 'seeds_per_pound' => 7_000.0]]))->cannotBe())->toBe(['crop' => 'canola', 'count' => 7_000.0, 'least' => 60_000, 'most' => 250_000])
        // 50 lb of 49,200 a pound, and back.
        ->and($seed->seedsIn(50.0))->toBe(2_460_000)->and($seed->poundsOf(2_460_000.0))->toEqualWithDelta(50.0, 1e-9)->and((new TagSeed(null, 'corn'))->seedsIn(50.0))->toBeNull()->and((new TagSeed(null, 'corn'))->poundsOf(5.0))->toBeNull();
    // A disc takes the mixture only where it takes the smallest kind and the largest.
    expect((new SeedDisc(60, 1.0, 9.0))->fit($seed)->takes)->toBe('fits')->and((new SeedDisc(60, 1.0, 7.0))->fit($seed)->takes)->toBeNull()->and((new SeedDisc(60, 8.0, 9.0))->fit($seed)->takes)->toBe('too_small');
});

it('refuses a mixture that is none', function (array $shares): void {
    expect(static fn (): SeedMixture => SeedMixture::of(array_map(static fn (float $share): array => ['crop' => 'peas', 'share' => $share, 'seeds_per_pound' => 2_000.0], $shares)))->toThrow(InvalidRun::class);
})->with([[[1.0]], [[0.6, 0.3]], [[0.6, 0.6]], [[1.0, 0.0]], [[1.2, -0.2]], [array_fill(0, 13, 1 / 13)]]);

it('estimates nothing of a crop whose density it does not know, nor without a count', function (string $crop, ?float $perPound): void {
    expect((new TagSeed(null, $crop, '', $perPound))->estimate())->toBeNull();
})->with([['okra', 8000.0], ['', 1600.0], ['corn', null], ['peanuts', 900.0], ['pearl millet', 80_000.0]]);

it('knows a class by its words, whatever their case, and by its crop', function (string $crop, string $class, ?bool $is): void {
    expect((new TagSeed(null, 'Corn', 'Medium Flat'))->isOfClass($crop, $class))->toBe($is);
})->with([['corn', 'medium  flat', true], ['', 'MEDIUM FLAT', true], ['corn', 'large flat', false], ['soybeans', 'medium flat', false], ['corn', '', null]]);

it('refuses what no tag says', function (float $perPound): void {
    expect(static fn (): TagSeed => new TagSeed(null, 'corn', '', $perPound))->toThrow(InvalidRun::class, '10 to 500,000');
})->with([0.0, 9.9, 500_001.0, -5.0]);
