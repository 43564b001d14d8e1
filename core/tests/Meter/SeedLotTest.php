<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Meter;

use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\LotFigures;
use Ustrel\Core\Meter\SeedDisc;
use Ustrel\Core\Meter\TagSeed;

it('reckons units, money and rate', function (): void {
    $lot = new LotFigures(80_000, 0.95, 240.0);
    // 300 acres at 30,000 and 100 at 34,000 are 12.4 million seeds, with a twentieth more 13.02 million: 162.75 units.
    expect($lot->units([[300.0, 30_000], [100.0, 34_000]], 0.05))->toBe(163)
        // Exactly ten units are ten.
        ->and($lot->units([[25.0, 32_000]], 0.0))->toBe(10)->and($lot->units([], 0.05))->toBe(0)
        // 240 x 32,000 / 80,000 is 96 an acre; a thousand seeds are 3.
        ->and($lot->costAnAcre(32_000))->toBe(96.0)->and($lot->priceAThousand())->toBe(3.0)
        // The same in a larger unit: 140,000 for 400 is 2.857 a thousand, and dearer to look at.
        ->and((new LotFigures(140_000, null, 400.0))->priceAThousand())->toEqualWithDelta(2.857, 1e-3)
        // 30,000 plants at 95 % and 92 % that come up: 34,325 seeds.
        ->and($lot->rateFor(30_000, 0.92))->toEqualWithDelta(34_324.9, 0.1)
        ->and((new LotFigures(80_000))->costAnAcre(32_000))->toBeNull()->and((new LotFigures(80_000))->rateFor(30_000, 0.9))->toBeNull();
});

it('tells whether seed fits a disc', function (?float $size, ?string $takes): void {
    $seed = new TagSeed($size);
    expect((new SeedDisc(60, 6.0, 8.0))->fit($seed)->takes)->toBe($takes)->and((new SeedDisc(60, null, null))->fit($seed)->takes)->toBeNull();
})->with([[6.0, 'fits'], [8.0, 'fits'], [5.9, 'too_small'], [8.1, 'too_large'], [null, null]]);

it('refuses what no lot or disc can be', function (callable $make, string $says): void {
    expect($make)->toThrow(InvalidRun::class, $says);
})->with([
    [fn () => new LotFigures(0), '1 seed or more'], [fn () => new LotFigures(80_000, 1.2), 'share over 0'], [fn () => new LotFigures(80_000, null, -1.0), '0 or more'], [fn () => (new LotFigures(80_000))->units([], 1.5), 'from 0 to 1'],
    [fn () => new SeedDisc(0, null, null), '1 to 400'], [fn () => new SeedDisc(60, 8.0, 6.0), 'larger one'], [fn () => new SeedDisc(60, 8.0, null), 'larger one'],
]);
