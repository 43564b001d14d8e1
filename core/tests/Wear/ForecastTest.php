<?php

declare(strict_types=1);

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Belief;
use Ustrel\Core\Wear\Forecast;
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

it('fits a rate by least squares through the fitting point, by hand', function (): void {
    // Lost 1 mm in 100 and 3 mm in 200: b = (100 x 1 + 200 x 3) / (100^2 + 200^2) = 700 / 50,000 = 0.014.
    $item = Item::fitted('a', 12.7, points('a', [100 => 11.7, 200 => 9.7]), 250);
    $own = OwnRate::of($item, 0.5);
    expect($own->rate())->toEqualWithDelta(0.014, 1e-12)
        ->and($own->variance())->toEqualWithDelta(0.5 / 50_000, 1e-15)
        // s^2 of a tape good to 0.6 mm read to 1/16 in: 0.36 + 1.5875^2 / 12.
        ->and(ReadingError::of(CheckKey::OpenerBladeDiameter)->variance())->toEqualWithDelta(0.5700130, 1e-6);
});

it('takes the first reading for the start where the size when fitted is unknown', function (): void {
    $item = Item::found('a', points('a', [300 => 9.7, 100 => 11.7]), 350);
    $own = OwnRate::of($item, 0.5);
    // 2 mm in 200; both readings are off by s: var = 2 s^2 / 200^2.
    expect([$item->start, $item->use])->toBe([11.7, 250.0])
        ->and($own->rate())->toEqualWithDelta(0.01, 1e-12)
        ->and($own->variance())->toEqualWithDelta(2 * 0.5 / 40_000, 1e-15)
        ->and(Item::found('b', [], 10)->start)->toBeNull();
});

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
        ->and(Pool::of([], 0.012)->mean)->toEqualWithDelta(0.012, 1e-12);
});

it('says how much is left as the normal tail has it, by hand', function (): void {
    $pool = Pool::of([[0.01, 1e-9], [0.01, 1e-9], [0.01, 1e-9], [0.01, 1e-9]], 0.01);
    $belief = Belief::of(Item::fitted('new', 12.7, [], 0), $pool, 0.5, []);
    $sd = sqrt($belief->rateVariance);
    // rate 0.01 +- 0.001: P50 at 12.7 / 0.01, P10 at 12.7 / (0.01 + 1.2816 sd).
    expect($belief->useAt(0))->toEqualWithDelta(1270, 0.1)
        ->and($belief->useAt(-Normal::P90))->toEqualWithDelta(12.7 / (0.01 + 1.281552 * $sd), 0.1)
        ->and($belief->useAt(Normal::P90))->toEqualWithDelta(12.7 / (0.01 - 1.281552 * $sd), 0.1)
        ->and($belief->chanceBy(1270))->toEqualWithDelta(0.5, 1e-4)
        ->and($belief->chanceBy(12.7 / (0.01 - 1.281552 * $sd)))->toEqualWithDelta(0.9, 1e-6);
});

it('counts what is left from the last reading, by hand', function (): void {
    // Own rate 700 / 50,000 = 0.014 with variance 1e-5, the pool 0.01 +- 0.001 and sure of it: share 1e-6 / 1.1e-5.
    $pool = Pool::of(array_fill(0, 40, [0.01, 1e-12]), 0.01);
    $item = Item::fitted('a', 12.7, points('a', [100 => 11.7, 200 => 9.7]), 250);
    $belief = Belief::of($item, $pool, 0.5, [1.0, 1.0]);
    $rate = 0.01 + 0.004 / 11;
    expect($belief->rate)->toEqualWithDelta($rate, 1e-7)
        ->and($belief->room(250))->toEqualWithDelta(9.7 - 50 * $rate, 1e-5)
        ->and($belief->useAt(0))->toEqualWithDelta(200 + 9.7 / $rate, 0.01)
        // Reading 0.5; rate (1 - 1/11) 1e-6, and 2 / 37 of (10/11 x 0.004)^2 for the spread that 40 items leave unsure;
        // a reading off by one pulls the rate by 200 / 50,000 of its share.
        ->and($belief->sd(300) ** 2)->toEqualWithDelta(
            0.5 + 100 ** 2 * (1e-6 * 10 / 11 + 2 / 37 * (0.004 * 10 / 11) ** 2) + 2 * 100 * 0.5 * 200 / 50_000 / 11, 1e-4,
        );
});

it('says of chance and of what is left what drawing lots says', function (float $room, float $pooled): void {
    mt_srand(31);
    $pool = Pool::of([[$pooled, 1e-6], [1.2 * $pooled, 2e-6], [0.9 * $pooled, 1e-6], [1.1 * $pooled, 1e-6]], 0.0127);
    $item = Item::fitted('a', 12.7, points('a', [300 => $room + 1, 400 => $room]), 450);
    $belief = Belief::of($item, $pool, 0.57, [1.0, 1.0]);
    // Room and rate are unsure together; what a part reaches is where its own line meets the limit.
    $pull = $belief->covariance / $belief->roomVariance;
    $left = sqrt($belief->rateVariance - $pull ** 2 * $belief->roomVariance);
    $ends = [];
    for ($draw = 0; $draw < 20_000; $draw++) {
        $off = sqrt($belief->roomVariance) * bell();
        $rate = $belief->rate + $pull * $off + $left * bell();
        $further = $rate > 0 ? ($belief->room + $off) / $rate : INF;
        $ends[] = $belief->use + $further;
    }
    sort($ends);
    $now = $item->use;
    foreach ([[-Normal::P90, 0.1], [0.0, 0.5], [Normal::P90, 0.9]] as [$z, $share]) {
        $at = $belief->useAt($z) ?? INF;
        $drawn = count(array_filter($ends, static fn (float $end): bool => $end <= $at)) / 20_000;
        expect($drawn)->toEqualWithDelta($share, 0.012);
    }
    foreach ([50, 200, 500] as $further) {
        $drawn = count(array_filter($ends, static fn (float $end): bool => $end <= $now + $further)) / 20_000;
        expect($belief->chanceBy($now + $further))->toEqualWithDelta($drawn, 0.012);
    }
})->with(['wears as the rest' => [7.5, 0.013], 'faster than the rest' => [5.0, 0.013], 'slower than the rest' => [10.0, 0.013], 'near its limit' => [2.5, 0.022]]);

it('forecasts a blade that shrinks and play that grows alike', function (): void {
    $shrinks = bladePath();
    $grows = new WearPath(false, 6.35, null, 6.35, FurrowDistance::ofMetres(1000));
    expect($shrinks->room(371.3))->toEqualWithDelta(3, 1e-9)->and($shrinks->size(3))->toEqualWithDelta(371.3, 1e-9)
        ->and($grows->room(5.35))->toEqualWithDelta(1, 1e-9)->and($grows->size(1))->toEqualWithDelta(5.35, 1e-9);
});

it('pools rows that have one or two readings, to better rates and honest intervals', function (float $between, float $step): void {
    mt_srand(20260401);
    $alone = $pooled = $inside = $count = 0;
    $error = new ReadingError(0.6, $step);
    for ($planter = 0; $planter < 60; $planter++) {
        $mean = 0.008 + 0.008 * mt_rand() / mt_getrandmax();
        $truth = $items = [];
        for ($row = 1; $row <= 16; $row++) {
            $rate = max(0.001, $mean * (1 + $between * bell()));
            $read = [];
            $use = 0;
            for ($season = 0; $season <= $row % 2; $season++) {
                $use += mt_rand(120, 220);
                $size = 12.7 - $rate * $use + $error->sd * bell();
                $read[$use] = $step * round($size / $step);
            }
            $items[] = Item::fitted("{$row}", 12.7, points("{$row}", $read), $use);
            $truth["{$row}"] = $rate;
        }
        foreach ((new Forecaster(bladePath(), $error))->of($items, null) as $key => $forecast) {
            $item = $items[(int) $key - 1];
            $alone += abs(OwnRate::of($item, $error->variance())->rate() - $truth[$key]);
            $pooled += abs($forecast->belief->rate - $truth[$key]);
            $left = 12.7 / $truth[$key] - $item->use;
            $inside += $left >= $forecast->left10 && $left <= ($forecast->left90 ?? INF) ? 1 : 0;
            $count++;
        }
    }
    expect($pooled / $alone)->toBeLessThanOrEqual(0.9)
        ->and($inside / $count)->toBeBetween(0.75, 0.88);
})->with([
    'rows alike, to 1/16 in' => [0.15, 25.4 / 16],
    'rows unlike, to 1/16 in' => [0.3, 25.4 / 16],
    'rows alike, to 1/8 in' => [0.2, 25.4 / 8],
]);

it('forecasts from a first reading as honestly as from a new part', function (): void {
    mt_srand(20260402);
    $inside = $count = 0;
    $error = new ReadingError(0.6, 25.4 / 16);
    for ($planter = 0; $planter < 60; $planter++) {
        $truth = $items = [];
        for ($row = 1; $row <= 16; $row++) {
            $rate = 0.012 * (1 + 0.2 * bell());
            $began = 11.0;
            $read = [];
            foreach ([0, 180, 350] as $use) {
                $read[$use] = 25.4 / 16 * round(($began - $rate * $use + 0.6 * bell()) * 16 / 25.4);
            }
            $items[] = Item::found("{$row}", points("{$row}", $read), 350);
            $truth["{$row}"] = $began / $rate - 350;
        }
        foreach ((new Forecaster(bladePath(), $error))->of($items, null) as $key => $forecast) {
            $inside += $truth[$key] >= $forecast->left10 && $truth[$key] <= ($forecast->left90 ?? INF) ? 1 : 0;
            $count++;
        }
    }
    expect($inside / $count)->toBeBetween(0.75, 0.88);
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
    expect($fast->outliers)->toBe([])->and($fast->belief->rate)->toBeBetween(0.022, 0.028);
});

it('says where the record is too thin, and goes by the nominal life', function (): void {
    $forecaster = new Forecaster(bladePath(), new ReadingError(0.6, 1.6));
    $thin = $forecaster->of([Item::fitted('a', 12.7, points('a', [100 => 11.7]), 150)], 300)['a'];
    // 11.7 mm of 12.7 in 1,000 left at the last reading: 921, and 50 run since.
    expect($thin->isThin())->toBeTrue()
        ->and($thin->left50)->toEqualWithDelta(11.7 / 0.0127 - 50, 0.1)
        ->and([$thin->left10, $thin->left90, $thin->chance, $thin->watchUnder])->toBe([null, null, null, null])
        ->and($forecaster->of([Item::found('b', [], 0)], 300)['b']->left50)->toBeNull()
        // Two readings of its own are enough.
        ->and($forecaster->of([Item::fitted('a', 12.7, points('a', [100 => 11.7, 200 => 10.2]), 200)], 300)['a']->isThin())->toBeFalse();
});

/** The chance after such a reading, with the pool as it was: the long way. */
function chanceAfter(array $items, int $index, float $room, float $planned, ReadingError $error): float
{
    $rates = [];
    foreach ($items as $item) {
        $own = OwnRate::of($item, $error->variance());
        if ($own !== null) {
            $rates[] = [$own->rate(), $own->variance()];
        }
    }
    $pool = Pool::of($rates, bladePath()->nominalRate());
    $item = $items[$index];
    $with = $item->start === null || $item->use <= 0
        ? Item::found($item->key, [new Point('now', 0, $room)], 0)
        : $item->with(new Point('now', $item->use, $room));

    return Belief::of($with, $pool, $error->variance(), array_fill(0, count($with->points), 1.0))->chanceBy($with->use + $planned);
}

it('turns to watch at the reading where the chance passes the shop\'s figure', function (int $index, float $figure): void {
    $error = new ReadingError(0.6, 1.6);
    $items = [...evenRows(), Item::found('17', [], 40), Item::fitted('18', 12.7, [], 0), Item::found('19', points('19', [50 => 9.0, 150 => 7.9]), 220)];
    $under = (new Forecaster(bladePath(), $error, $figure))->of($items, 400)[(string) ($index + 1)]->watchUnder;
    for ($room = 0.1; $room < 12.7; $room += 0.1) {
        if (abs($room - $under) > 1e-4) {
            expect(chanceAfter($items, $index, $room, 400, $error) > $figure)->toBe($room < $under, "room {$room}, turns at {$under}");
        }
    }
    expect($under)->toBeBetween(0.5, 12.0);
})->with(['a row' => 0, 'another' => 7, 'nothing read yet' => 16, 'just fitted' => 17, 'found used' => 18])->with([0.2, 0.5]);

it('has a chance only where there is a plan', function (): void {
    $without = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of(evenRows(), null)['1'];
    $with = (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of(evenRows(), 2000)['1'];
    expect($without->chance)->toBeNull()->and($without->left50)->not->toBeNull()
        ->and($with->chance)->toBeGreaterThan(0.99);
});

it('takes a newest reading that shows less than expected as it is, however unlikely, and one that shows more not', function (): void {
    $of = function (float $newest): Forecast {
        $items = evenRows();
        $items[4] = Item::fitted('5', 12.7, points('5', [100 => 11.5, 200 => $newest]), 200);

        return (new Forecaster(bladePath(), new ReadingError(0.6, 1.6)))->of($items, 100)['5'];
    };
    expect($of(-1.0)->outliers)->toBe(['5@200'])
        ->and([$of(-1.0)->left10, $of(-1.0)->left50, $of(-1.0)->left90])->toBe([0.0, 0.0, 0.0])
        ->and($of(1.0)->outliers)->toBe(['5@200'])
        ->and($of(1.0)->left50)->toBeLessThan(100)->and($of(1.0)->chance)->toBeGreaterThan(0.5)
        ->and($of(20.0)->outliers)->toBe(['5@200'])
        ->and($of(20.0)->left50)->toBeLessThan(1000);
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
