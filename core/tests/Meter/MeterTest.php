<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\Differing;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\SeedsNeeded;
use Ustrel\Core\Meter\Share;

it('has Wilson’s interval, which solves |p - x| = z sqrt(p (1 - p) / n) at both ends', function (int $count, int $all): void {
    $share = Share::of($count, $all);
    foreach ([$share->low, $share->high] as $end) {
        if ($end > 0 && $end < 1) {
            expect(abs($end - $count / $all))->toEqualWithDelta(1.959964 * sqrt($end * (1 - $end) / $all), 1e-7);
        }
    }
    expect($share->low)->toBeLessThanOrEqual($share->share)->and($share->high)->toBeGreaterThanOrEqual($share->share);
})->with([[0, 500], [1, 500], [10, 500], [250, 500], [499, 500], [500, 500], [1, 1], [3, 100]]);

it('has of 10 in 500 the interval that is worked by hand, and of none in 500 one that ends at 0.76 %', function (): void {
    // z^2 = 3.841459: (0.02 + 0.00384146) / 1.00768292 -+ 1.959964 / 1.00768292 x sqrt(0.0000392 + 0.00000384146)
    expect(Share::of(10, 500)->low)->toEqualWithDelta(0.01090, 1e-5)->and(Share::of(10, 500)->high)->toEqualWithDelta(0.03642, 1e-5)
        ->and(Share::of(0, 500)->low)->toBe(0.0)->and(Share::of(0, 500)->high)->toEqualWithDelta(0.007624, 1e-6);
});

it('covers what is true in 95 of 100 runs, at shares as meters have them', function (float $truth): void {
    $random = new Randomizer(new Mt19937((int) (1e6 * $truth)));
    $held = 0;
    for ($run = 0; $run < 2000; $run++) {
        $count = 0;
        for ($seed = 0; $seed < 500; $seed++) {
            $count += $random->getInt(1, 1_000_000) <= 1e6 * $truth ? 1 : 0;
        }
        $share = Share::of($count, 500);
        $held += $share->low <= $truth && $truth <= $share->high ? 1 : 0;
    }
    expect($held / 2000)->toBeGreaterThan(0.92)->toBeLessThan(0.985);
})->with([0.01, 0.02, 0.05]);

it('needs some 2,300 seeds each to tell 98 % from 99 %', function (): void {
    // (1.959964 x sqrt(2 x 0.985 x 0.015) + 0.841621 x sqrt(0.0196 + 0.0099))^2 / 0.0001
    expect(SeedsNeeded::toTell(0.98, 0.99))->toBe(2319)->and(SeedsNeeded::toTell(0.99, 0.98))->toBe(2319)->and(SeedsNeeded::toTell(0.9, 0.99))->toBeLessThan(120);
});

it('calls a meter different where its odds by enumeration say so', function (): void {
    // Two meters of 4 places, 3 wrong in one and none in the other: of the 56 ways to choose 3 of 8, 4 + 4 are as uneven.
    expect(Differing::among([1 => new Counts(4, 3, 0), 2 => new Counts(4, 0, 0)]))->toBe([]);
    // 40 places, 20 wrong all in one: one way in some 10^11 and its mirror.
    expect(Differing::among([1 => new Counts(20, 12, 8), 2 => new Counts(20, 0, 0)]))->toBe([1 => true, 2 => false]);
    expect(Differing::among([7 => new Counts(500, 100, 0)]))->toBe([])->and(Differing::among([]))->toBe([]);
});

it('calls sixteen equal meters different in under one set of twenty, and finds the one that is worse', function (float $share): void {
    $random = new Randomizer(new Mt19937(14));
    $draw = static function (float $share) use ($random): Counts {
        $wrong = 0;
        for ($seed = 0; $seed < 500; $seed++) {
            $wrong += $random->getInt(1, 1_000_000) <= 1e6 * $share ? 1 : 0;
        }

        return new Counts(500, $wrong, 0);
    };
    [$false, $found] = [0, 0];
    for ($set = 0; $set < 300; $set++) {
        $runs = array_map(static fn (): Counts => $draw($share), array_fill(1, 16, 0));
        $false += Differing::among($runs) === [] ? 0 : 1;
        $found += (Differing::among([16 => $draw(4 * $share + 0.02)] + $runs)[16] ?? null) === true ? 1 : 0;
    }
    expect($false / 300)->toBeLessThan(0.06)->and($found / 300)->toBeGreaterThan(0.9);
})->with([0.01, 0.03]);

it('refuses counts that cannot be', function (int $places, int $skips, int $doubles): void {
    new Counts($places, $skips, $doubles);
})->with([[0, 0, 0], [100, -1, 0], [100, 60, 41]])->throws(InvalidRun::class);

it('leans to skips or doubles only by more than luck', function (int $skips, int $doubles, ?string $lean): void {
    expect((new Counts(500, $skips, $doubles))->lean())->toBe($lean);
    // 2 x 0.5^5 = 0.0625 and 2 x 0.5^6 = 0.03125; of 11, 3 or fewer: 2 x 232 / 2048; of 24, 4 or fewer: 2 x 12,951 / 16,777,216.
})->with([[0, 0, null], [5, 0, null], [6, 0, 'skips'], [0, 6, 'doubles'], [8, 3, null], [4, 20, 'doubles'], [250, 250, null]]);
