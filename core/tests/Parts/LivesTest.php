<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Life\Life;
use Ustrel\Core\Parts\Life\LifeComparison;
use Ustrel\Core\Parts\Life\LifeCurve;
use Ustrel\Core\Parts\Life\LifeStep;

/**
 * Freireich et al., Blood 21 (1963): weeks of remission under 6-MP and under placebo, the example of most textbooks on
 * survival (Cox and Oakes 1984; Klein and Moeschberger 2003).
 *
 * @return list<Life>
 */
function treated(): array
{
    $ended = array_map(static fn (int $weeks): Life => new Life($weeks, true), [6, 6, 6, 7, 10, 13, 16, 22, 23]);
    $censored = array_map(static fn (int $weeks): Life => new Life($weeks, false), [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]);

    return [...$censored, ...$ended];
}

/** @return list<Life> */
function untreated(): array
{
    return array_map(static fn (int $weeks): Life => new Life($weeks, true), [1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23]);
}

it('follows Kaplan and Meier through the textbook example', function (): void {
    $curve = LifeCurve::of(treated());
    $shares = array_map(static fn (LifeStep $step): array => [$step->ran, $step->atRisk, round($step->share, 4)], $curve->steps);
    expect($shares)->toBe([
        [6.0, 21, 0.8571], [7.0, 17, 0.8067], [10.0, 15, 0.7529], [13.0, 12, 0.6902], [16.0, 11, 0.6275], [22.0, 7, 0.5378], [23.0, 6, 0.4482],
    ])
        ->and([$curve->parts, $curve->ended, $curve->median()])->toBe([21, 9, 23.0])
        // Log-minus-log interval of the first step as printed by the usual packages: 0.620 to 0.952.
        ->and(round($curve->steps[0]->low, 3))->toBe(0.62)
        ->and(round($curve->steps[0]->high, 3))->toBe(0.952)
        // Median 23, 95 % interval 13 to open.
        ->and([$curve->medianLow(), $curve->medianHigh()])->toBe([13.0, null])
        // By the same interval, worked out from Greenwood's sum: of the placebo 4 to 11.
        ->and([LifeCurve::of(untreated())->medianLow(), LifeCurve::of(untreated())->median(), LifeCurve::of(untreated())->medianHigh()])->toBe([4.0, 8.0, 11.0])
        // Half of four is two.
        ->and(LifeCurve::of(array_map(static fn (int $ran): Life => new Life($ran, true), [10, 20, 30, 40]))->median())->toBe(20.0);
});

it('tells two kinds apart by the log-rank test of the same example', function (): void {
    $comparison = LifeComparison::of(treated(), untreated());
    // 9 ended where 19.25 were expected; chi-squared is 16.79, which luck brings about less than once in ten thousand times.
    expect($comparison->hazard)->toEqualWithDelta(9 / 19.25, 0.005)
        ->and($comparison->luck)->toBeLessThan(0.002)
        ->and($comparison->isClear())->toBeTrue()
        ->and(LifeComparison::of(treated(), treated())->luck)->toBeGreaterThan(0.9)
        ->and(LifeComparison::of(treated(), treated())->isClear())->toBeFalse();
});

it('comes to the chance that dealing all hands comes to', function (): void {
    // Ten parts, all ended: 252 ways of calling five of them the first kind. Ends less expected of each part, by the hazard run through.
    $first = [3, 4, 6, 7, 12];
    $second = [5, 9, 13, 15, 20];
    $all = [...$first, ...$second];
    $sorted = $all;
    sort($sorted);
    $hazard = static fn (int $ran): float => array_sum(array_map(static fn (int $at): float => $sorted[$at] <= $ran ? 1 / (10 - $at) : 0.0, range(0, 9)));
    $scores = array_map(static fn (int $ran): float => 1 - $hazard($ran), $all);
    $found = abs(array_sum(array_slice($scores, 0, 5)));
    $asFar = $hands = 0;
    for ($hand = 0; $hand < 1024; $hand++) {
        if (substr_count(decbin($hand), '1') === 5) {
            $hands++;
            $asFar += abs(array_sum(array_filter($scores, static fn (int $at): bool => ($hand >> $at & 1) === 1, ARRAY_FILTER_USE_KEY))) >= $found - 1e-9 ? 1 : 0;
        }
    }
    $lives = static fn (array $ran): array => array_map(static fn (int $far): Life => new Life($far, true), $ran);
    expect($hands)->toBe(252)
        ->and(LifeComparison::of($lives($first), $lives($second))->luck)->toEqualWithDelta($asFar / 252, 0.03);
});

it('says nothing of a difference with fewer than five ends a side, and no interval under six', function (): void {
    $ended = static fn (int ...$ran): array => array_map(static fn (int $far): Life => new Life($far, true), $ran);
    $few = LifeComparison::of($ended(1, 2, 3, 4), $ended(50, 60, 70, 80, 90, 99));
    expect([$few->tooFew, $few->luck, $few->isClear()])->toBe([true, null, false])
        ->and(LifeComparison::of($ended(1, 2, 3, 4, 5), $ended(50, 60, 70, 80, 90, 99))->isClear())->toBeTrue();
    $five = LifeCurve::of($ended(10, 20, 30, 40, 50));
    expect([$five->median(), $five->medianLow(), $five->medianHigh(), $five->steps[0]->low])->toBe([30.0, null, null, null]);
    $six = LifeCurve::of($ended(10, 20, 30, 40, 50, 60));
    // The last one takes the share to nothing; how many more might run as far stays as open as before.
    expect($six->medianLow())->toBe(10.0)->and($six->steps[5]->share)->toBe(0.0)->and($six->steps[5]->high)->toBe($six->steps[4]->high)->and($six->steps[5]->high)->toBeGreaterThan(0.4);
});

it('counts the plain share where all parts were seen to their end, and the product of chances where not', function (): void {
    mt_srand(5);
    for ($round = 0; $round < 60; $round++) {
        $lives = [];
        $censors = $round % 2 === 1;
        for ($part = 0; $part < 25; $part++) {
            $lives[] = new Life((float) mt_rand(1, 30), ! $censors || mt_rand(0, 2) > 0);
        }
        foreach (LifeCurve::of($lives)->steps as $step) {
            // What is left of all, distance by distance.
            $share = 1.0;
            for ($at = 1; $at <= $step->ran; $at++) {
                $running = count(array_filter($lives, static fn (Life $life): bool => $life->ran >= $at));
                $ends = count(array_filter($lives, static fn (Life $life): bool => $life->ended && $life->ran == $at));
                $share *= 1 - $ends / max(1, $running);
            }
            expect($step->share)->toEqualWithDelta($share, 1e-9)->and($step->low)->toBeLessThanOrEqual($step->share)->and($step->high)->toBeGreaterThanOrEqual($step->share);
            if (! $censors) {
                $longer = count(array_filter($lives, static fn (Life $life): bool => $life->ran > $step->ran));
                expect($step->share)->toEqualWithDelta($longer / 25, 1e-9);
            }
        }
    }
});

it('counts a used part from where it was first seen, by hand and in the long run', function (): void {
    // At 10 three are seen running (the used one came in at 12), at 20 two: 2/3 x 1/2.
    $curve = LifeCurve::of([new Life(10, true), new Life(15, false), new Life(30, false), new Life(20, true, 12), new Life(5, true, 5)]);
    expect(array_map(static fn (LifeStep $step): array => [$step->ran, $step->atRisk, round($step->share, 6)], $curve->steps))->toBe([[10.0, 3, 0.666667], [20.0, 2, 0.333333]]);

    // One that is first seen where another ends was not seen running up to there.
    $seen = LifeCurve::of([new Life(12, true), new Life(20, true, 12), new Life(30, true)]);
    expect(array_map(static fn (LifeStep $step): array => [$step->ran, $step->atRisk], $seen->steps))->toBe([[12.0, 2], [20.0, 2], [30.0, 1]]);

    // Half of all parts reach 69.3 of a mean of 100; that those found used had come through their first 60 does not lengthen it.
    mt_srand(23);
    $end = static fn (): float => -100 * log((mt_rand() + 1) / (mt_getrandmax() + 2));
    $medians = 0.0;
    for ($round = 0; $round < 40; $round++) {
        $lives = [];
        for ($part = 0; $part < 400; $part++) {
            $lives[] = new Life($end(), true);
            $lives[] = new Life(60 + $end(), true, 60);
        }
        $medians += LifeCurve::of($lives)->median();
    }
    // The medians scatter by 5, their mean by 0.8.
    expect($medians / 40)->toEqualWithDelta(69.3, 2);
});

it('calls two kinds clearly different one time in twenty where they are the same, few or many', function (int $one, int $other): void {
    mt_srand(17);
    $life = static function (): Life {
        $end = -100 * log((mt_rand() + 1) / (mt_getrandmax() + 2));
        $changed = mt_rand(20, 260);

        return new Life(min($end, $changed), $end <= $changed);
    };
    $clear = 0;
    for ($round = 0; $round < 400; $round++) {
        $clear += LifeComparison::of(array_map($life, range(1, $one)), array_map($life, range(1, $other)))->isClear() ? 1 : 0;
    }
    expect($clear / 400)->toBeLessThan(0.08);
})->with([[40, 30], [10, 9]]);

it('says nothing of parts that have not ended', function (): void {
    $running = LifeCurve::of([new Life(100, false), new Life(250, false)]);
    expect([$running->steps, $running->parts, $running->ended, $running->median()])->toBe([[], 2, 0, null])
        ->and(LifeCurve::of([])->parts)->toBe(0)
        ->and(LifeComparison::of([], [new Life(3, true)])->isClear())->toBeFalse();
});
