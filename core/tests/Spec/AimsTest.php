<?php

declare(strict_types=1);

use Ustrel\Core\Field\Rate\InvalidRate;
use Ustrel\Core\Spec\Aims;

it('takes each figure from the nearest that says it', function (): void {
    $aims = Aims::of(['singulation' => null, 'depth_band' => 3.2], ['singulation' => 0.95, 'depth_band' => 9.0, 'rate_low' => -0.02], ['singulation' => 0.9, 'emergence_hours' => 60.0, 'depth' => 50.8]);
    expect([$aims->singulation, $aims->depthBand, $aims->rate->low, $aims->rate->high, $aims->emergenceHours, $aims->depth])->toBe([0.95, 3.2, -0.02, 0.05, 60.0, 50.8]);
    $typical = Aims::of();
    expect([$typical->singulation, $typical->depthBand, $typical->rate->low, $typical->emergenceHours, $typical->depth])->toBe([0.98, 6.35, -0.05, 48.0, null])
        ->and(static fn () => Aims::of(['rate_low' => 0.02]))->toThrow(InvalidRate::class);
});

it('calls a row off by more than the band, not by what a rule shows as its edge', function (float $band, float $depth, bool $isOff): void {
    // Wanted 2 in, 50.8 mm: 2 1/4 in is on the edge of a quarter of an inch, 2 5/16 beyond it.
    expect((new Aims(depthBand: $band))->isOffDepth($depth, 50.8))->toBe($isOff);
})->with([[6.35, 57.15, false], [6.35, 58.7, true], [6.35, 44.45, false], [6.35, 43.0, true], [3.2, 54.0, false], [3.2, 54.2, true], [12.7, 58.7, false]]);

it('calls spacings uneven only by more than luck', function (float $scatter, int $singles, bool $isUneven): void {
    expect((new Aims(spacingCv: 0.3))->isUneven($scatter, $singles))->toBe($isUneven);
})->with([
    // 1.645 / sqrt(2 n): 37 % of it from ten spacings, 12 % from a hundred.
    'as it may be' => [0.3, 1000, false], '10 of them' => [0.4, 10, false], '10 that scatter widely' => [0.42, 10, true], '100 of them' => [0.34, 100, true], '100 within luck' => [0.33, 100, false],
]);
