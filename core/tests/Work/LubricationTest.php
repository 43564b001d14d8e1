<?php

declare(strict_types=1);

use Ustrel\Core\Spec\Drive;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Meter;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\Schedule\InvalidPlan;

it('goes round what the planter has: some four minutes a row', function (): void {
    $points = fn (Equipment $of): array => array_column(array_map(static fn (Lubrication $point): array => [$point->point, $point->minutes], Lubrication::typical($of, 16)), 1, 0);
    $ground = $points(new Equipment(Meter::Plate, Drive::Ground, rowCleaner: true, markers: true));
    // 16 rows at 1 + 1 + 1 + 1 + 0.5 + 0.5, and 5 + 3 + 4 of the planter.
    expect(array_sum($ground))->toBe(80 + 12)->and($ground)->toHaveKeys(['drive_shaft', 'idlers', 'markers']);
    expect($points(new Equipment(Meter::Vacuum, Drive::Electric, rowCleaner: false)))->toBe(['gauge_wheel_arms' => 16, 'closing_arms' => 16, 'hitch' => 3, 'pins_and_studs' => 8]);
});

it('is due each season, and again after so many acres or hours', function (): void {
    $read = fn (array $with): Lubrication => Lubrication::read([$with + ['point' => 'hitch', 'per' => 'planter', 'minutes' => 3, 'product' => 'grease']], new Equipment(Meter::Vacuum), 8)[0];
    $season = $read([]);
    expect($season->isDue(false, 0.0, 0.0))->toBeTrue()->and($season->isDue(true, 900.0, 900.0))->toBeFalse();
    $both = $read(['acres' => 60, 'hours' => 50]);
    expect($both->isDue(true, 59.9, 49.9))->toBeFalse()->and($both->isDue(true, 60.0, 0.0))->toBeTrue()->and($both->isDue(true, 0.0, 50.0))->toBeTrue()
        // Nobody can tell the hours: by the acres alone.
        ->and($both->isDue(true, 59.0, null))->toBeFalse();
});

it('refuses a list that cannot be, by its number', function (array $point): void {
    $good = ['point' => 'hitch', 'per' => 'planter', 'minutes' => 3, 'product' => 'grease'];
    Lubrication::read([$good, $point + $good], new Equipment(Meter::Vacuum), 8);
})->with([[['per' => 'side']], [['minutes' => 0]], [['minutes' => '3']], [['product' => 'butter']], [['with' => 'wings']], [['with' => 3]], [['hours' => 0]], [['acres' => '60']], [['hours' => 1e6]]])->throws(InvalidPlan::class, 'Point 2 of what is lubricated');
