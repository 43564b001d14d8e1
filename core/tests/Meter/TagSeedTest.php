<?php

declare(strict_types=1);

use Ustrel\Core\Meter\InvalidRun;
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
]);

it('estimates nothing of a crop whose density it does not know, nor without a count', function (string $crop, ?float $perPound): void {
    expect((new TagSeed(null, $crop, '', $perPound))->estimate())->toBeNull();
})->with([['okra', 8000.0], ['', 1600.0], ['corn', null], ['peanuts', 900.0], ['pearl millet', 80_000.0]]);

it('knows a class by its words, whatever their case, and by its crop', function (string $crop, string $class, ?bool $is): void {
    expect((new TagSeed(null, 'Corn', 'Medium Flat'))->isOfClass($crop, $class))->toBe($is);
})->with([['corn', 'medium  flat', true], ['', 'MEDIUM FLAT', true], ['corn', 'large flat', false], ['soybeans', 'medium flat', false], ['corn', '', null]]);

it('refuses what no tag says', function (float $perPound): void {
    expect(static fn (): TagSeed => new TagSeed(null, 'corn', '', $perPound))->toThrow(InvalidRun::class, '10 to 500,000');
})->with([0.0, 9.9, 500_001.0, -5.0]);
