<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Season\DaysToPlant;
use Ustrel\Core\Season\FieldPace;
use Ustrel\Core\Season\Fills;
use Ustrel\Core\Season\PlantingDay;
use Ustrel\Core\Season\PriceOfDelay;
use Ustrel\Core\Season\SeasonFills;
use Ustrel\Core\Season\Tank;

it('covers ground by speed, width and efficiency, and says what speed a claim needs', function (): void {
    // 16 rows at 30 in are 40 ft: 5 mph x 40 ft x 0.65 / 8.25 = 15.76 acres an hour.
    $feet = FieldPace::feet(Length::ofMillimetres('762'), 16);
    expect($feet)->toEqualWithDelta(40.0, 1e-9);
    $pace = FieldPace::ofField(5.0, $feet, 0.65);
    expect($pace->acresAnHour())->toEqualWithDelta(15.7576, 1e-4)
        // 20 acres an hour: 20 x 8.25 / (40 x 0.65) = 6.346 mph.
        ->and($pace->mphFor(20.0))->toEqualWithDelta(6.3462, 1e-4);

    // With turning at 0.85 and 12 minutes a fill of 60 acres: 1 / (8.25 / (5 x 40 x 0.85) + 0.2 / 60) = 1 / (0.0485294 + 0.0033333).
    $counted = FieldPace::ofTurning(5.0, 40.0, 0.85, 12.0, 60.0);
    expect($counted->acresAnHour())->toEqualWithDelta(19.2817, 1e-4)
        ->and($counted->mphFor($counted->acresAnHour()))->toEqualWithDelta(5.0, 1e-9)
        // 300 acres an hour would be one fill after the other.
        ->and($counted->mphFor(300.0))->toBeNull();
});

it('stops for whichever runs out first, and says how much more it would have to hold', function (): void {
    // Seed: 2 boxes of 50 units, 0.4 units an acre; 600 gal at 10 gal an acre; granules 1,200 lb at 15 lb an acre.
    $fills = new Fills([new Tank('seed', 100.0, 0.4), new Tank('liquid', 600.0, 10.0), new Tank('granules', 1200.0, 15.0)]);
    expect($fills->acresAFill())->toEqualWithDelta(60.0, 1e-9)
        ->and($fills->first()?->name)->toBe('liquid')
        // As long as the granules, 80 acres: 800 gal, 200 more.
        ->and($fills->short())->toEqualWithDelta(200.0, 1e-9)
        ->and((new Fills([]))->acresAFill())->toBeNull()
        ->and((new Fills([new Tank('seed', 1.0, 1.0)]))->short())->toBeNull();
});

it('fills a tank of one crop for the fields of that crop alone', function (): void {
    // 3,000 acres of corn at 1 bag in 2.5 acres from a box of 40 bags, 1,000 of milo at 1 in 10 from a box of 45; liquid in both.
    $fields = [['crop' => 'Corn', 'acres' => 2500.0], ['crop' => 'milo', 'acres' => 1000.0], ['crop' => 'corn ', 'acres' => 500.0]];
    $tanks = [new Tank('corn seed', 40.0, 0.4, 'corn'), new Tank('milo seed', 45.0, 0.1, 'Milo'), new Tank('liquid', 600.0, 3.0)];
    $season = SeasonFills::of($tanks, $fields);
    [$corn, $milo] = $season->crops;
    // Corn: every 100 acres by the seed, 30 stops; the liquid lasts 200: 80 bags, 40 more. Milo: by the liquid every 200, 5 stops;
    // the seed lasts 450, for which it takes 1,350 gal.
    expect($season->crops)->toHaveCount(2)
        ->and([$corn->crop, $corn->acres, $corn->fills->first()?->name, $corn->stops(), $corn->fills->short()])->toEqualWithDelta(['Corn', 3000.0, 'corn seed', 30.0, 40.0], 1e-9)
        ->and([$milo->crop, $milo->acres, $milo->fills->first()?->name, $milo->stops(), $milo->fills->short()])->toEqualWithDelta(['milo', 1000.0, 'liquid', 5.0, 750.0], 1e-9)
        // 4,000 acres by 35 stops.
        ->and($season->acresAFill())->toEqualWithDelta(4000 / 35, 1e-9);
    // Without the liquid the milo stops as often as its own seed runs out; beans have no tank, and stop nowhere.
    $dry = SeasonFills::of(array_slice($tanks, 0, 2), [...$fields, ['crop' => 'beans', 'acres' => 500.0]]);
    expect($dry->crops[2]->stops())->toBe(0.0)->and($dry->acresAFill())->toEqualWithDelta(4500 / (30 + 1000 / 450), 1e-9);
    // Before there are fields, or where tanks belong to no crop, all run at once.
    expect(SeasonFills::of($tanks, [])->acresAFill())->toEqualWithDelta(100.0, 1e-9)
        ->and(SeasonFills::of([new Tank('seed', 40.0, 0.4)], $fields)->crops)->toHaveCount(1)
        ->and(SeasonFills::of([], $fields)->acresAFill())->toBeNull();
});

it('finishes on the day that one-state weather makes certain', function (): void {
    // Every day fit, 100 acres a day, 450 acres: four days bring 400 +- 50, five 500 +- 56. By hand: P(5) = Phi(50 / 55.9) = 0.8145; P(4) = Phi(-50 / 50) = 0.1587.
    $days = DaysToPlant::of(450.0, 100.0, 1.0, 0.0);
    expect($days->within(4))->toEqualWithDelta(0.1587, 1e-3)
        ->and($days->within(5))->toEqualWithDelta(0.8145, 1e-3)
        ->and($days->within(0))->toBe(0.0)
        ->and([$days->by(0.1), $days->by(0.5), $days->by(0.9)])->toBe([4, 5, 6]);
});

it('holds its range of finish dates against weather that is not as it assumes', function (float $spells, float $spread, float $off): void {
    // Seasons with known truth: other spells, other days, a pace that is not what was promised.
    mt_srand(71);
    $uniform = static fn (): float => (mt_rand() + 0.5) / (mt_getrandmax() + 1.0);
    $normal = static fn (): float => sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
    $inside = $early = 0;
    $seasons = 1500;
    for ($season = 0; $season < $seasons; $season++) {
        $acres = 300 + 900 * $uniform();
        $fit = 0.35 + 0.5 * $uniform();
        $days = DaysToPlant::of($acres, 100.0, $fit, 0.2);
        $pace = 100 * max(0.3, 1 + $off + 0.2 * $normal());
        $isFit = $uniform() < $fit;
        for ($day = 1, $left = $acres; $day < 399; $day++) {
            $left -= $isFit ? $pace * max(0.0, 1 + $spread * $normal()) : 0.0;
            if ($left <= 0) {
                break;
            }
            $isFit = $uniform() < ($isFit ? $fit + $spells * (1 - $fit) : $fit * (1 - $spells));
        }
        [$low, $high] = [$days->by(0.1), $days->by(0.9)];
        $inside += $day >= $low && $day <= $high ? 1 : 0;
        $early += $day <= $days->by(0.5) ? 1 : 0;
    }
    // Days are whole: a range holds a little more than its eight in ten.
    expect($inside / $seasons)->toBeGreaterThan(0.72)->toBeLessThan(0.95)
        ->and($early / $seasons)->toBeGreaterThan(0.35)->toBeLessThan(0.72);
})->with([
    'as assumed' => [0.4, 0.25, 0.0],
    'no spells' => [0.0, 0.25, 0.0],
    'long spells' => [0.6, 0.25, 0.0],
    'days much alike' => [0.4, 0.05, 0.0],
    'days that differ much' => [0.4, 0.5, 0.0],
    'slower than promised' => [0.4, 0.25, -0.08],
]);

it('goes by the log the more of it there is', function (): void {
    expect(PlantingDay::of(120.0, [])->acres)->toBe(120.0);
    $few = PlantingDay::of(120.0, [80.0, 90.0]);
    $many = PlantingDay::of(120.0, array_fill(0, 12, 85.0));
    expect($few->acres)->toBeGreaterThan(85.0)->toBeLessThan(110.0)
        ->and($many->acres)->toEqualWithDelta(85.5, 1.0)
        ->and($many->sd)->toBeLessThan($few->sd)
        ->and($few->sd)->toBeLessThan(0.25);
});

it('prices an hour by the acres that it makes late', function (): void {
    // 800 acres, 10 free days at 50 a day: 300 acres late. At 1.20 an acre and day, 10 hours a day: 300 x 1.20 / 10 = 36 an hour.
    $price = new PriceOfDelay(1.2, 10);
    expect($price->anHour(800.0, 0.0, 50.0, 10.0))->toEqualWithDelta(36.0, 1e-9)
        // With 700 done, 100 are left, all of them late.
        ->and($price->anHour(800.0, 700.0, 50.0, 10.0))->toEqualWithDelta(12.0, 1e-9)
        ->and($price->anHour(400.0, 0.0, 50.0, 10.0))->toBe(0.0)
        // 300 acres at 50 a day are late by 0 to 6 days, 3 at the middle: 300 x 3 x 1.20.
        ->and($price->ofSeason(800.0, 50.0))->toEqualWithDelta(1080.0, 1e-9);
});
