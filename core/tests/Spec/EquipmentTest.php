<?php

declare(strict_types=1);

use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Spec\ClosingWheels;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;

it('wants the clearance guard beside heavier blades with large rivets', function (bool $heavy, bool $clearance, array $broken): void {
    expect(FitRule::brokenBy(Equipment::of(['meter' => 'vacuum', 'heavy_blades' => $heavy, 'clearance_guard' => $clearance], RowUnitType::Vacuum)))->toBe($broken);
})->with([
    [true, false, [FitRule::HeavyBladesNeedClearanceGuard]],
    [true, true, []],
    [false, false, []],
    [false, true, []],
]);

it('reads what it writes, and fills in what is typical', function (RowUnitType $type): void {
    $other = ['coulter' => true, 'closing_wheels' => 'spiked_steel', 'meter' => 'positive_air', 'firmer' => false] + Equipment::typicalOf($type)->toArray();
    $equipment = Equipment::of($other, $type);
    expect($equipment->toArray())->toEqual($other)
        ->and($equipment->closingWheels)->toBe(ClosingWheels::SpikedSteel)
        ->and(Equipment::of(['coulter' => 'maybe', 'meter' => 'sieve'], $type))->toEqual(Equipment::typicalOf($type));
})->with(RowUnitType::cases());
