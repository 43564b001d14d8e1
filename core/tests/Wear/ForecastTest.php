<?php

declare(strict_types=1);

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Belief;
use Ustrel\Core\Wear\Forecaster;
use Ustrel\Core\Wear\Item;
use Ustrel\Core\Wear\Normal;
use Ustrel\Core\Wear\OwnRate;
use Ustrel\Core\Wear\Point;
use Ustrel\Core\Wear\Pool;
use Ustrel\Core\Wear\ReadingError;
use Ustrel\Core\Wear\WearPath;

/* Rates in millimetres a kilometre in most of these: the unit of use is the caller's. */

/** 12.7 mm (1/2 in) to lose in 1,000 units of use. */
function bladePath(): WearPath
{
    return new WearPath(true, 368.3, 381, 12.7, FurrowDistance::ofMetres(1000));
}

/** @param  array<int, float>  $rooms  by use */
function points(string $key, array $rooms): array
{
    return array_map(static fn (int $use, float $room): Point => new Point("{$key}@{$use}", $use, $room), array_keys($rooms), $rooms);
}

/** About normal, mean 0, SD 1, by Box and Muller. */
function bell(): float
{
    return sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
}

it('knows the normal distribution by its tables', function (float $z, float $under): void {
    expect(Normal::under($z))->toEqualWithDelta($under, 2e-7)->and(Normal::quantile($under))->toEqualWithDelta($z, 2e-6);
})->with([[0.0, 0.5], [1.0, 0.8413447], [-1.959964, 0.025], [1.281552, 0.9], [-0.841621, 0.2]]);

/** An error with such a variance of one reading. */
function errorOf(float $variance): ReadingError
{
    return new ReadingError(sqrt($variance), 0.0);
}

it('knows when two normal values are both under their limits, by summing strips', function (float $one, float $other, float $correlation): void {
    $chance = 0.0;
    for ($x = -8.0; $x < $one; $x += 1 / 512) {
        $middle = $x + 1 / 1024;
        $chance += exp(-$middle ** 2 / 2) / sqrt(2 * M_PI) / 512 * Normal::under(($other - $correlation * $middle) / sqrt(1 - $correlation ** 2));
    }
    expect(Normal::bothUnder($one, $other, $correlation))->toEqualWithDelta($chance, 2e-6);
})->with([[0.5, 1.0, 0.3], [0.5, 1.0, -0.3], [-1.5, 1.0, 0.9], [1.0, 1.0, 0.96], [-0.5, 1.0, 0.99], [1.25, 2.5, -0.95], [0.0, 0.0, 0.999], [-1.5, -1.45, 0.96], [2.0, 1.9, 0.95], [1.25, -1.3, -0.94]]);

it('knows the chance of both in the quarters, by arcs', function (float $correlation): void {
    expect(Normal::bothUnder(0, 0, $correlation))->toEqualWithDelta(1 / 4 + asin($correlation) / (2 * M_PI), 1e-7);
})->with([-0.99, -0.5, 0.0, 0.5, 0.93, 1.0]);

it('fits a rate by least squares through the fitting point, by hand', function (): void {
    // Lost 1 mm in 100 and 3 mm in 200: b = (100 x 1 + 200 x 3) / (100^2 + 200^2) = 700 / 50,000 = 0.014.
    $own = OwnRate::of(Item::fitted('a', 12.7, points('a', [100 => 11.7, 200 => 9.7]), 250, 0.0), errorOf(0.5));
    expect($own->rate())->toEqualWithDelta(0.014, 1e-9)->and($own->variance())->toEqualWithDelta(0.5 / 50_000, 1e-12);

    // A start good to 0.8 mm runs through both: V = 0.5 I + 0.64 J, b = u'V^-1 g / u'V^-1 u = 537.0787 / 35,280.90.
    $own = OwnRate::of(Item::fitted('a', 12.7, points('a', [100 => 11.7, 200 => 9.7]), 250, 0.8), errorOf(0.5));
    expect($own->rate())->toEqualWithDelta(0.0152229, 1e-7)->and($own->variance())->toEqualWithDelta(1 / 35_280.90, 1e-10);
});

it('takes the first reading for the start where the size when fitted is unknown', function (): void {
    $item = Item::found('a', points('a', [300 => 9.7, 100 => 11.7]), 350);
    $own = OwnRate::of($item, errorOf(0.5));
    // 2 mm in 200; both readings are off by s: var = 2 s^2 / 200^2.
    expect([$item->start, $item->use])->toBe([11.7, 250.0])
        ->and($own->rate())->toEqualWithDelta(0.01, 1e-12)
        ->and($own->variance())->toEqualWithDelta(2 * 0.5 / 40_000, 1e-15)
        ->and(Item::found('b', [], 10)->start)->toBeNull();
});

it('learns how well is measured from how the readings lie about their lines, by hand', function (): void {
    // About the line of 0.014 lie -0.4 and 0.2: R^2 = 0.2, one to spare. SD^2 = (4 x 1^2 + 0.2) / (4 + 1).
    $item = static fn (?float $step): Item => Item::fitted('a', 12.7, [new Point('1', 100, 11.7, $step), new Point('2', 200, 9.7, $step)], 250, 0.0);
    expect((new ReadingError(1.0, 0.0))->learnedFrom([$item(0.0)])->sd)->toEqualWithDelta(sqrt(0.84), 1e-9)
        // Read to 1/16 in, 1.5875^2 / 12 = 0.2100 of it is rounding.
        ->and((new ReadingError(1.0, 0.0))->learnedFrom([$item(1.5875)])->sd)->toEqualWithDelta(sqrt(0.798), 1e-4)
        // Three readings of a part that was found lie about a line of their own: 0.25, -0.5, 0.25 from it.
        ->and((new ReadingError(1.0, 0.0))->learnedFrom([Item::found('b', points('b', [0 => 10.25, 100 => 8.5, 200 => 8.25]), 200)])->sd)->toEqualWithDelta(sqrt((4 + 0.375) / 5), 1e-9)
        // One reading each says nothing of it.
        ->and((new ReadingError(1.0, 0.0))->learnedFrom([Item::fitted('c', 12.7, points('c', [100 => 3.0]), 100)])->sd)->toBe(1.0);
});

it('learns it within a tenth, and does not learn from slips of the hand', function (float $sd, int $slips): void {
    mt_srand(5);
    $items = [];
    for ($part = 0; $part < 120; $part++) {
        $read = static fn (int $use, float $slip = 0.0): float => 12.7 - 0.012 * $use + $sd * bell() + $slip;
        $items[] = Item::fitted("{$part}", 12.7, points("{$part}", [100 => $read(100), 200 => $read(200, $part < $slips ? 12.7 : 0.0), 300 => $read(300)]), 300, 0.0);
    }
    expect((new ReadingError(1.0, 0.0))->learnedFrom($items)->sd / $sd)->toBeBetween(0.9, 1.1);
})->with([[0.6, 0], [1.5, 0], [0.8, 12], [1.5, 12]]);

it('pools as DerSimonian and Laird do, by a published example', function (): void {
    // Borenstein, Hedges, Higgins, Rothstein: Introduction to Meta-Analysis (2009), ch. 14, six studies.
    $pool = Pool::of([[0.095, 0.033], [0.277, 0.031], [0.367, 0.050], [0.664, 0.011], [0.462, 0.043], [0.185, 0.023]], 15);
    // Printed from figures of more places than the three given here.
    expect($pool->mean)->toEqualWithDelta(0.3582, 1.5e-3)
        ->and($pool->between)->toEqualWithDelta(0.0372, 1e-3)
        ->and(sqrt($pool->ofMean))->toEqualWithDelta(0.1055, 1.5e-3);
});

it('keeps the spread of rates at a tenth of their mean at least, and goes by the nominal rate alone', function (): void {
    $alike = Pool::of([[0.01, 1e-8], [0.01, 1e-8], [0.01, 1e-8]], 0.012);
    expect(sqrt($alike->between))->toEqualWithDelta(0.001, 1e-6)
        ->and([Pool::of([], 0.012)->mean, sqrt(Pool::of([], 0.012)->ofMean)])->toEqualWithDelta([0.012, 0.012], 1e-12);
});

it('says that all blades of a planter read too large at once', function (): void {
    // 32 blades 0.3 mm over new after 100 miles: nominally they would have lost a fifth of half an inch.
    $path = new WearPath(true, 368.3, 381.0, 12.7, FurrowDistance::ofMiles(500));
    $items = array_map(static fn (int $at): Item => Item::fitted("{$at}", 12.7, [new Point("r{$at}", 160_934.4, 13.0, 25.4 / 16)], 160_934.4), range(1, 32));
    $first = (new Forecaster($path, ReadingError::of(CheckKey::from('opener_blade_diameter'))))->of($items, 400_000.0)['1'];
    expect([$first->growsBack, $first->isThin])->toBe([true, true]);
});

it('takes a part that was changed without an entry from there on, and keeps asking', function (): void {
    // 12.7 mm new, 0.0127 mm a metre; changed for a new one at 600 m. 10.2 / 0.0127 = 803 m are left.
    $path = new WearPath(true, 368.3, 381.0, 12.7, FurrowDistance::ofMetres(1000));
    $others = array_map(static fn (int $at): Item => Item::fitted("o{$at}", 12.7, points("o{$at}", [200 => 10.2, 400 => 7.6, 600 => 5.1]), 600), range(1, 6));
    $forecaster = new Forecaster($path, new ReadingError(0.5, 25.4 / 16));
    $changed = $forecaster->of([Item::fitted('a', 12.7, points('a', [200 => 10.2, 400 => 7.6, 600 => 12.7, 800 => 10.2]), 800), ...$others], null)['a'];
    expect($changed->grown)->toBe('a@600')->and($changed->isThin)->toBeTrue()
        ->and($changed->left50)->toEqualWithDelta(803, 60)->and($changed->left10)->toBeLessThan(803)->and($changed->left90)->toBeGreaterThan(803);
    // A slip of the hand in the middle is no other part.
    $slip = $forecaster->of([Item::fitted('a', 12.7, points('a', [200 => 10.2, 400 => 12.7, 600 => 5.1, 800 => 2.5]), 800), ...$others], null)['a'];
    expect([$slip->grown, $slip->outliers, $slip->isThin])->toBe([null, ['a@400'], false])->and($slip->left50)->toEqualWithDelta(197, 40);
});

it('takes a contact of 0 for 0 or less, and not for a figure that is well known', function (): void {
    // L^2 at 2 in is 4 in^2; the window's end at 1 1/2 in is 2.25.
    $path = new WearPath(true, 38.1, null, 50.8 ** 2 - 38.1 ** 2, FurrowDistance::ofMiles(500), squared: true);
    $gap = $path->point('g', 100.0, 0.0, 25.4 / 8);
    $touch = $path->point('t', 100.0, 25.4, 25.4 / 8);
    $error = ReadingError::of(CheckKey::from('blade_contact_length'));
    expect($gap->room)->toBeLessThan($path->room(0.0))
        ->and($error->variance($gap))->toBeGreaterThan($error->variance($touch))
        // Half-normal about 0 with an SD of 0.9 in^2: mean 0.718 in^2 under, variance 0.294 in^4.
        ->and(($path->room(0.0) - $gap->room) / 645.16)->toEqualWithDelta(0.9 * sqrt(2 / M_PI), 1e-3)
        ->and($gap->spread / 645.16 ** 2)->toEqualWithDelta(0.81 * (1 - 2 / M_PI), 1e-3);
});

it('says that parts seem to grow back only where that is more than luck', function (): void {
    expect(Pool::of(array_fill(0, 8, [-0.004, 1e-6]), 0.012)->growsBack())->toBeTrue()
        ->and(Pool::of(array_fill(0, 8, [-0.0004, 1e-3]), 0.012)->growsBack())->toBeFalse()
        // Nothing lost where 0.012 should have been, give or take 0.001: something is wrong.
        ->and(Pool::of(array_fill(0, 8, [-0.0004, 1e-5]), 0.012)->growsBack())->toBeTrue()
        ->and(Pool::of(array_fill(0, 8, [0.012, 1e-6]), 0.012)->growsBack())->toBeFalse()
        ->and(Pool::of([], 0.012)->growsBack())->toBeFalse();
});

it('says how much is left as the normal tail has it, by hand', function (): void {
    $pool = Pool::of([[0.01, 1e-9], [0.01, 1e-9], [0.01, 1e-9], [0.01, 1e-9]], 0.01);
    $belief = Belief::of(Item::fitted('new', 12.7, [], 0, 0.0), $pool, errorOf(0.5), [], 1e6);
    $sd = sqrt($belief->rateVariance);
    // rate 0.01 +- 0.001: P50 at 12.7 / 0.01, P10 at 12.7 / (0.01 + 1.2816 sd).
    expect($belief->leftAt(0.0))->toEqualWithDelta(1270, 0.1)
        ->and($belief->leftAt(-Normal::P90))->toEqualWithDelta(12.7 / (0.01 + 1.281552 * $sd), 0.1)
        ->and($belief->leftAt(Normal::P90))->toEqualWithDelta(12.7 / (0.01 - 1.281552 * $sd), 0.1)
        ->and($belief->chanceBy(1270))->toEqualWithDelta(0.5, 1e-4)
        ->and($belief->chanceBy(12.7 / (0.01 - 1.281552 * $sd)))->toEqualWithDelta(0.9, 1e-6);
});

it('weighs start, readings and the other rows as adding up all there can be does', function (array $rooms, int $use, float $startSd): void {
    // The pool is sure of itself: 0.012 +- 0.0012.
    $pool = Pool::of(array_fill(0, 9, [0.012, 1e-12]), 0.0127);
    $item = Item::fitted('a', 12.7, points('a', $rooms), $use, $startSd);
    $belief = Belief::of($item, $pool, errorOf(1.2), array_fill(0, count($rooms), 1.0), 1e6);
    $sums = array_fill(0, 4, 0.0);
    for ($rate = 0.005; $rate < 0.02; $rate += 0.00005) {
        for ($start = 12.7 - 6 * $startSd; $start <= 12.7 + 6 * $startSd; $start += $startSd / 10) {
            $far = (($rate - 0.012) / 0.0012) ** 2 + (($start - 12.7) / $startSd) ** 2;
            foreach ($rooms as $at => $room) {
                $far += ($start - $rate * $at - $room) ** 2 / 1.2;
            }
            $weight = exp(-$far / 2);
            $now = $start - $rate * $use;
            foreach ([1, $now, $now ** 2, $rate] as $index => $value) {
                $sums[$index] += $weight * $value;
            }
        }
    }
    [$all, $now, $squared, $rate] = $sums;
    expect($belief->room)->toEqualWithDelta($now / $all, 2e-3)
        ->and($belief->roomVariance)->toEqualWithDelta($squared / $all - ($now / $all) ** 2, 5e-3)
        ->and($belief->rate)->toEqualWithDelta($rate / $all, 2e-6);
})->with([
    'one reading' => [[100 => 11.0], 150, 0.8],
    'three, read yesterday' => [[100 => 11.9, 200 => 9.1, 300 => 8.4], 300, 0.6],
    'not read yet' => [[], 200, 1.0],
]);

it('says of chance and of what is left what drawing lots says, where nothing grows back', function (array $rooms, array $rates, int $use): void {
    mt_srand(31);
    $pool = Pool::of($rates, 0.0127);
    $belief = Belief::of(Item::fitted('a', 12.7, points('a', $rooms), $use), $pool, errorOf(1.2), array_fill(0, count($rooms), 1.0), 1e6);
    // Room and rate are unsure together; what a part reaches is where its own line meets the limit.
    $pull = $belief->covariance / $belief->roomVariance;
    $left = sqrt($belief->rateVariance - $pull ** 2 * $belief->roomVariance);
    $ends = [];
    while (count($ends) < 20_000) {
        $off = sqrt($belief->roomVariance) * bell();
        $rate = $belief->rate + $pull * $off + $left * bell();
        if ($rate > 0) {
            $ends[] = max(0.0, ($belief->room + $off) / $rate);
        }
    }
    $share = static fn (float $further): float => count(array_filter($ends, static fn (float $end): bool => $end <= $further)) / 20_000;
    foreach ([[0.1, -Normal::P90], [0.5, 0.0], [0.9, Normal::P90]] as [$chance, $deviate]) {
        $at = $belief->leftAt($deviate);
        expect($at === 0.0 ? min(1.0, $share(0.0) / $chance) : $share($at) / $chance)->toBeBetween($at === 0.0 ? 1.0 : 0.9, 1.1);
    }
    foreach ([50, 200, 500, 3000] as $further) {
        expect($belief->chanceBy($use + $further))->toEqualWithDelta($share($further), 0.012);
    }
})->with([
    'a first reading, nothing else' => [[100 => 11.2], [], 120],
    'not read, nothing else' => [[], [], 300],
    'wears as the rest' => [[300 => 8.5, 400 => 7.5], [[0.013, 1e-6], [0.0156, 2e-6], [0.0117, 1e-6], [0.0143, 1e-6]], 450],
    'near its limit' => [[300 => 3.5, 400 => 2.5], [[0.022, 1e-6], [0.0264, 2e-6], [0.02, 1e-6]], 450],
    'hardly wears' => [[300 => 12.6, 400 => 12.9], [[0.001, 4e-6], [0.0, 2e-6], [0.002, 3e-6]], 450],
]);

it('never says a smaller chance for more acres', function (array $rooms, array $rates): void {
    $belief = Belief::of(Item::fitted('a', 12.7, points('a', $rooms), 400), Pool::of($rates, 0.0127), errorOf(1.2), array_fill(0, count($rooms), 1.0), 1e6);
    $last = 0.0;
    for ($planned = 0; $planned < 60_000; $planned += 1 + intdiv($planned, 8)) {
        $chance = round($belief->chanceBy(400 + $planned), 6);
        expect($chance)->toBeGreaterThanOrEqual($last - 1e-6);
        $last = $chance;
    }
    expect($last)->toBeGreaterThan(0.9);
})->with([
    'nothing else known' => [[100 => 11.2], []],
    'hardly wears' => [[300 => 12.6, 400 => 12.9], [[0.001, 4e-6], [0.0, 2e-6], [0.002, 3e-6]]],
    'past its limit' => [[300 => 1.0, 400 => -1.5], [[0.03, 4e-6], [0.02, 2e-6], [0.04, 3e-6]]],
]);

it('forecasts a blade that shrinks and play that grows alike, and contact by its square', function (): void {
    $shrinks = bladePath();
    $grows = new WearPath(false, 6.35, null, 6.35, FurrowDistance::ofMetres(1000));
    expect($shrinks->room(371.3))->toEqualWithDelta(3, 1e-9)->and($shrinks->size(3))->toEqualWithDelta(371.3, 1e-9)
        ->and($grows->room(5.35))->toEqualWithDelta(1, 1e-9)->and($grows->size(1))->toEqualWithDelta(5.35, 1e-9);

    // From 2 in to 1 1/2 in the square falls from 4 to 2.25; half of it gone is sqrt(3.125) = 1.7678 in, not 1 3/4.
    $contact = new WearPath(true, 38.1, null, (4 - 2.25) * 25.4 ** 2, FurrowDistance::ofMetres(1000), squared: true);
    expect($contact->room(50.8))->toEqualWithDelta(1.75 * 25.4 ** 2, 1e-9)
        ->and($contact->size(0.875 * 25.4 ** 2))->toEqualWithDelta(1.767767 * 25.4, 1e-4)
        ->and($contact->size(0.0))->toEqualWithDelta(38.1, 1e-9)
        // A gap is as short as can be.
        ->and($contact->size(-38.1 ** 2 - 5))->toBe(0.0)
        // 1 mm more of 50 makes 101 mm^2 more.
        ->and($contact->gain($contact->room(50.0)))->toEqualWithDelta(100, 1e-9);
});

/** @return list<Item> sixteen rows that have lost about 1.2 mm in 100, 2.4 in 200 */
function evenRows(): array
{
    return array_map(static fn (int $row): Item => Item::fitted(
        "{$row}", 12.7, points("{$row}", [100 => 11.5 + 0.05 * ($row % 3), 200 => 10.3 - 0.05 * ($row % 4)]), 200,
    ), range(1, 16));
}

it('names a reading that does not fit and hardly moves the row by it', function (): void {
    $items = evenRows();
    $clean = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($items, null)['5'];
    $items[4] = Item::fitted('5', 12.7, points('5', [100 => 11.5, 200 => 4.0]), 200);
    $forecasts = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($items, null);

    expect($clean->outliers)->toBe([])
        ->and($forecasts['5']->outliers)->toBe(['5@200'])
        ->and($forecasts['6']->outliers)->toBe([])
        // Read as it stands, the row would wear three times as fast.
        ->and($forecasts['5']->belief->rate / $clean->belief->rate)->toBeBetween(1.0, 1.3)
        ->and($forecasts['6']->belief->rate / $clean->belief->rate)->toBeBetween(0.95, 1.05);
});

it('lets a row that truly wears faster say so once two readings agree', function (): void {
    $items = evenRows();
    $items[4] = Item::fitted('5', 12.7, points('5', [100 => 10.0, 200 => 7.4, 300 => 4.6]), 300);
    $fast = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($items, null)['5'];
    expect($fast->outliers)->toBe([])->and($fast->belief->rate)->toBeBetween(0.019, 0.028);
});

it('has an outlook from the first reading ever taken, and says that it is thin', function (): void {
    $forecaster = new Forecaster(bladePath(), new ReadingError(0.6, 1.6));
    $thin = $forecaster->of([Item::fitted('a', 12.7, points('a', [100 => 11.7]), 150)], 300)['a'];
    expect($thin->isThin)->toBeTrue()
        // About where the nominal life has it, and far from sure.
        ->and($thin->left50)->toBeBetween(0.6 * (12.7 / 0.0127 - 150), 1.2 * (12.7 / 0.0127 - 150))
        ->and($thin->left90 / $thin->left10)->toBeGreaterThan(3)
        ->and($thin->chance)->toBeBetween(0.001, 0.2)
        ->and($thin->watchUnder)->toBeBetween(1.0, 10.0)
        ->and($forecaster->of([Item::found('b', [], 0)], 300)['b'])->left50->toBeNull()->belief->toBeNull()->watchUnder->toBeGreaterThan(2.0)
        // Two readings of its own are enough.
        ->and($forecaster->of([Item::fitted('a', 12.7, points('a', [100 => 11.7, 200 => 10.2]), 200)], 300)['a']->isThin)->toBeFalse();
});

it('goes by parts that were taken out, too', function (): void {
    $gone = array_map(static fn (int $part): Item => Item::fitted("gone {$part}", 12.7, points("gone {$part}", [200 => 7.7 + 0.02 * $part, 400 => 2.7]), 400), range(1, 8));
    $new = Item::fitted('new', 12.7, [], 0);
    $forecaster = new Forecaster(bladePath(), new ReadingError(0.6, 1.6));
    // They wore 0.025: twice the nominal rate.
    expect($forecaster->of([$new], null)['new']->belief->rate)->toEqualWithDelta(0.0127, 1e-9)
        ->and($forecaster->of([$new], null, $gone)['new']->belief->rate)->toEqualWithDelta(0.025, 0.001)
        ->and($forecaster->of([$new], null, $gone)['new']->isThin)->toBeFalse()
        ->and(array_keys($forecaster->of([$new], null, $gone)))->toBe(['new']);
});

it('asks whether a part was changed where its newest reading jumps back towards new', function (array $read, ?string $grown): void {
    $items = evenRows();
    $items[4] = Item::fitted('5', 12.7, points('5', $read), 800);
    expect((new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($items, 100)['5']->grown)->toBe($grown);
})->with([
    'as it should be' => [[200 => 10.3, 500 => 6.7, 800 => 3.1], null],
    'as if new' => [[200 => 10.3, 500 => 6.7, 800 => 12.7], '5@800'],
    'one too small' => [[200 => 10.3, 500 => 6.7, 800 => -8.0], null],
    'an earlier one too large' => [[200 => 10.3, 500 => 24.0, 800 => 3.1], null],
]);

it('turns to watch at the reading where the chance passes the shop\'s figure', function (int $index, float $figure): void {
    $error = new ReadingError(0.6, 1.6);
    $items = [...evenRows(), Item::found('17', [], 40), Item::fitted('18', 12.7, [], 0), Item::found('19', points('19', [50 => 9.0, 150 => 7.9]), 220)];
    $forecaster = new Forecaster(bladePath(), $error, $figure, learns: false);
    $under = $forecaster->of($items, 700)[(string) ($index + 1)]->watchUnder;
    $pool = $forecaster->pool($items);
    for ($room = 0.1; $room < 12.7; $room += 0.1) {
        $item = $items[$index];
        $with = $item->start === null || $item->use <= 0 ? Item::found('', [new Point('now', 0, $room)], 0) : $item->with(new Point('now', $item->use, $room));
        $chance = Belief::of($with, $pool, $error, array_fill(0, count($with->points), 1.0), 30_000)->chanceBy($with->use + 700);
        if (abs($room - $under) > 1e-3) {
            expect($chance > $figure)->toBe($room < $under, "room {$room}, turns at {$under}");
        }
    }
    expect($under)->toBeBetween(0.5, 14.0);
})->with(['a row' => 0, 'another' => 7, 'nothing read yet' => 16, 'just fitted' => 17, 'found used' => 18])->with([0.2, 0.5]);

it('has a chance only where there is a plan', function (): void {
    $without = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of(evenRows(), null)['1'];
    $with = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of(evenRows(), 2000)['1'];
    expect($without->chance)->toBeNull()->and($without->left50)->not->toBeNull()
        ->and($with->chance)->toBeGreaterThan(0.99);
});

it('has a middle for every share', function (): void {
    foreach ((new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of(evenRows(), 100) as $forecast) {
        expect($forecast->left50)->toBeGreaterThan($forecast->left10)->toBeLessThan($forecast->left90);
    }
});

it('says that what is past its limit has nothing left, and that what does not wear lasts out of sight', function (): void {
    $items = evenRows();
    $items[0] = Item::fitted('1', 12.7, points('1', [500 => 1.0, 1000 => -3.0]), 1000);
    $forecasts = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($items, 100);
    expect([$forecasts['1']->left10, $forecasts['1']->left50])->toBe([0.0, 0.0])->and($forecasts['1']->chance)->toBeGreaterThan(0.99);

    $still = array_map(static fn (int $row): Item => Item::fitted("{$row}", 12.7, points("{$row}", [900 => 12.7, 1800 => 12.7]), 1800), range(1, 8));
    expect((new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($still, 100)['1'])
        ->left90->toBeNull()->chance->toBeLessThan(0.01);
});
