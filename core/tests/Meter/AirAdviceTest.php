<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Meter;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Meter\Air\AirAdvice;
use Ustrel\Core\Meter\Air\AirRun;
use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\Heavy;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\PracticeMeter;

/** Of a run of 500 by the chances of a skip and of a double at a place. */
function ranAt(Randomizer $random, float $air, float $skip, float $double): AirRun
{
    $skips = $doubles = 0;
    for ($place = 0; $place < 500; $place++) {
        $at = $random->getInt(0, 999_999) / 1e6;
        $skips += $at < $skip ? 1 : 0;
        $doubles += $at >= $skip && $at < $skip + $double ? 1 : 0;
    }

    return new AirRun(round($air, 1), new Counts(500, $skips, $doubles));
}

/**
 * Four runs of 500 on many meters, each with curves and a best air of its own: how much worse the advised air is than the best
 * there is, and whether the interval holds that.
 *
 * @param  callable(Randomizer): array{callable(float): float, callable(float): float, float}  $meter  skips and doubles by air, and the air that is tried around
 * @return array{list<float>, int, int} losses sorted, how many intervals hold the best air, and of how many the best lies outside what was tried
 */
function advised(int $cases, int $seed, callable $meter): array
{
    $random = new Randomizer(new Mt19937($seed));
    $losses = [];
    $holds = $outside = 0;
    for ($case = 0; $case < $cases; $case++) {
        [$skips, $doubles, $around] = $meter($random);
        $wrong = static fn (float $air): float => min(1.0, $skips($air)) + min(1.0, $doubles($air));
        [$best, $least] = [0.0, INF];
        for ($air = 0.5; $air <= 40; $air += 0.05) {
            [$best, $least] = $wrong($air) < $least ? [$air, $wrong($air)] : [$best, $least];
        }
        $runs = array_map(static fn (float $of): AirRun => ranAt($random, $around * $of, $skips($around * $of), $doubles($around * $of)), [0.82, 0.94, 1.06, 1.18]);
        $advice = AirAdvice::of($runs);
        $losses[] = $wrong($advice->air) - $least;
        $holds += $advice->low <= $best && $best <= $advice->high ? 1 : 0;
        $outside += $best < 0.82 * $around || $best > 1.18 * $around ? 1 : 0;
    }
    sort($losses);

    return [$losses, $holds, $outside];
}

it('loses little by the air that it advises, and its interval holds the best as often as it says', function (): void {
    $any = static fn (Randomizer $random, float $from, float $to): float => $from + ($to - $from) * $random->getInt(0, 9999) / 9999;
    [$losses, $holds, $outside] = advised(80, 31, static function (Randomizer $random) use ($any): array {
        [$best, $level, $falls, $rises] = [$any($random, 4, 18), $any($random, 0.001, 0.01), $any($random, 3, 8), $any($random, 3, 8)];

        return [
            static fn (float $air): float => $level * exp(-$falls * ($air / $best - 1)), static fn (float $air): float => $level * exp($rises * ($air / $best - 1)),
            $best * $any($random, 0.8, 1.2),
        ];
    });
    expect($losses[71])->toBeLessThan(0.001)->and($holds)->toBeGreaterThanOrEqual(60)->toBeLessThanOrEqual(74)->and($outside)->toBeGreaterThan(2);
});

it('does as well on a meter that works otherwise than its curves', function (): void {
    [$losses, $holds] = advised(40, 8, static function (Randomizer $random): array {
        $size = 4 + $random->getInt(0, 40) / 10;
        $meter = static fn (float $air): PracticeMeter => new PracticeMeter(60, 30.0, $air, $size, 0.1, 0.4 * $size);

        return [static fn (float $air): float => $meter($air)->skips(), static fn (float $air): float => $meter($air)->doubles(), 6 * ($size / 5) ** 1.6 * (0.85 + $random->getInt(0, 30) / 100)];
    });
    expect($losses[32])->toBeLessThan(0.001)->and($losses[35])->toBeLessThan(0.003)->and($holds)->toBeGreaterThanOrEqual(24);
});

it('says which way the best air lies when it is not in sight, and where to try next', function (): void {
    $many = AirAdvice::of([new AirRun(8.0, new Counts(500, 60, 0)), new AirRun(10.0, new Counts(500, 30, 0))]);
    expect($many)->isInSight->toBeFalse()->way->toBe('more')->next->toBeGreaterThan(10.0)->air->toBeGreaterThan(10.0)->low->toBeGreaterThan(9.0);
    $few = AirAdvice::of([new AirRun(14.0, new Counts(500, 0, 20)), new AirRun(16.0, new Counts(500, 0, 45))]);
    expect($few)->isInSight->toBeFalse()->way->toBe('less')->air->toBeLessThan(14.0);
    // As many skips as doubles tell no direction.
    expect(AirAdvice::of([new AirRun(12.0, new Counts(500, 5, 5))]))->isInSight->toBeFalse()->way->toBeNull();
    // One run tells nothing of the slopes; a run without a skip is no trouble.
    expect(AirAdvice::of([new AirRun(12.0, new Counts(500, 0, 0))]))->isInSight->toBeFalse()->skips->toBeLessThan(0.01);
});

it('says when air alone does not do it, and when another run wins nothing', function (): void {
    $poor = AirAdvice::of(array_map(static fn (float $air, int $skips, int $doubles): AirRun => new AirRun($air, new Counts(2000, $skips, $doubles)), [10.0, 12.0, 14.0, 16.0], [160, 90, 55, 30], [25, 45, 85, 150]));
    expect($poor)->heavy->toBe(Heavy::Both)->isInSight->toBeTrue();
    $sharp = AirAdvice::of(array_map(static fn (float $air, int $skips, int $doubles): AirRun => new AirRun($air, new Counts(5000, $skips, $doubles)), [10.0, 11.0, 12.0, 13.0, 14.0], [60, 32, 18, 9, 5], [4, 8, 17, 34, 66]));
    expect($sharp)->heavy->toBeNull()->next->toBeNull()->air->toEqualWithDelta(12.0, 0.4);
    expect(fn () => AirAdvice::of([]))->toThrow(InvalidRun::class, 'one run at least')->and(fn () => new AirRun(300.0, new Counts(500, 1, 1)))->toThrow(InvalidRun::class, '0.5 to 60');
});

it('gives the same advice for the same runs', function (): void {
    $runs = [new AirRun(10.0, new Counts(500, 12, 2)), new AirRun(13.0, new Counts(500, 3, 9))];
    expect(AirAdvice::of($runs))->toEqual(AirAdvice::of($runs));
});
