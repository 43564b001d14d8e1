<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Meter;

use Ustrel\Core\Meter\Drops;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\PracticeMeter;

it('reads spacings as the standard has it', function (): void {
    // A hundred milliseconds a place. Spacings: 1, 0.5, 0.6, 1.5, 1.6, 3.4, 1.
    $drops = Drops::of([0, 100, 150, 210, 360, 520, 860, 960], 100.0);
    // One of seven is half a place or less; 1.6 and 3.4 are over one and a half; 1, 0.6, 1.5 and 1 are singles.
    expect($drops->multipleIndex())->toEqualWithDelta(1 / 7, 1e-12)->and($drops->missIndex())->toEqualWithDelta(2 / 7, 1e-12)->and($drops->feedIndex())->toEqualWithDelta(4 / 7, 1e-12)
        // Their mean is 1.025; squares 0.000625, 0.180625, 0.225625 and 0.000625 are 0.4075, a third is 0.135833.
        ->and($drops->precision())->toEqualWithDelta(sqrt(0.4075 / 3), 1e-9);
    // 1.6 is a miss of one place, 3.4 of two: singles 4, misses 2 + 3 empty, the first seed: 1 + 4 + 2 + 3 places.
    expect($drops->counts())->toMatchObject(['places' => 10, 'skips' => 3, 'doubles' => 1]);
});

it('finds the beat by itself, and places by the beat', function (): void {
    // 80 ms; the fourth place is empty, the sixth has two, and the eighth and ninth bounce apart by more than half a place.
    $times = [0, 80, 160, 320, 400, 415, 480, 585, 615, 720];
    expect(Drops::of($times, 80.0)->seedsByPlace())->toBe([1, 1, 1, 0, 1, 2, 1, 1, 1, 1]);
    $long = array_merge(array_map(static fn (int $place): int => 80 * $place, range(0, 40)), array_map(static fn (int $time): int => 41 * 80 + $time, $times));
    expect(array_slice(Drops::of($long)->seedsByPlace(), 41))->toBe([1, 1, 1, 0, 1, 2, 1, 1, 1, 1]);
});

it('counts what a made-up meter really did', function (): void {
    foreach ([[4.5, 40], [6.0, 60], [8.5, 60]] as $number => [$air, $cells]) {
        $meter = new PracticeMeter($cells, 30.0, $air);
        $times = $meter->drops(2000, $number);
        $counts = Drops::of($times)->counts();
        // From the first seed to the last; both shares within four standard errors of what the meter is made to do.
        expect($counts->places)->toBeGreaterThan(1985)->toBeLessThanOrEqual(2001);
        foreach ([[$counts->skips, $meter->skips()], [$counts->doubles, $meter->doubles() * (1 - $meter->skips())]] as [$count, $share]) {
            expect($count / $counts->places)->toEqualWithDelta($share, 4 * sqrt($share * (1 - $share) / 2000) + 0.001);
        }
    }
});

it('refuses what no run can be', function (callable $read, string $says): void {
    expect($read)->toThrow(InvalidRun::class, $says);
})->with([
    'backwards' => [fn () => Drops::of([0, 100, 90, 200], 100.0), 'Seed 3 dropped before'],
    'two seeds' => [fn () => Drops::of([0, 100]), '3 seeds'],
    'all at once' => [fn () => Drops::of([5, 5, 5]), 'over 0 milliseconds'],
    'no cells' => [fn () => new PracticeMeter(0, 30.0, 6.0), '1 to 400 cells'],
]);
