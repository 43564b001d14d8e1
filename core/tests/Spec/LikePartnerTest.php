<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Bands;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Rules\LikePartner;
use Ustrel\Core\Spec\Side;

it('wants a tire at its own target, no more over than under, and like its partner', function (float $value, ?float $partner, string $verdict, string $reason): void {
    $psi = Unit::Psi->quantityOf(...);
    $judged = (new LikePartner($psi(60), $psi(3)))->judge($psi($value), Background::of(otherSide: $partner === null ? null : $psi($partner)));
    expect(words($judged))->toBe([$verdict, $reason]);
})->with([
    'at it' => [60, null, 'sound', 'in_range'],
    'as far under as it may be' => [57, null, 'sound', 'in_range'],
    'under' => [56.9, 60, 'change', 'under_range'],
    'over' => [63.1, 60, 'change', 'over_range'],
    'both allowed, and as far apart as they may be' => [57, 60, 'sound', 'in_range'],
    'both allowed, and too far apart' => [57, 60.1, 'change', 'unequal_sides'],
    'the other way round' => [62.5, 59, 'change', 'unequal_sides'],
    // The flat one is to blame, and is told so itself.
    'with a flat partner' => [60, 20, 'sound', 'in_range'],
    'with a partner that is just out' => [60, 56.9, 'sound', 'in_range'],
]);

it('turns in bands where it turns in fact', function (float $partner): void {
    $psi = Unit::Psi->quantityOf(...);
    $rule = new LikePartner($psi(60), $psi(3));
    $background = Background::of(otherSide: $psi($partner));
    $bands = Bands::compile($rule, Unit::Psi, $background);
    for ($value = 50.0; $value <= 70; $value += 0.1) {
        expect(words($bands->judge($psi($value))))->toBe(words($rule->judge($psi($value), $background)));
    }
})->with([58.5, 40.0]);

it('asks for each tire where they are gauged one by one, and else for the lowest', function (): void {
    $asked = function (?int $pairs): array {
        $sheet = sheetFor(Equipment::of(['meter' => 'vacuum', 'tyre_pairs' => $pairs], RowUnitType::Vacuum));

        return array_map(static fn (CheckKey $key): string => implode(' ', array_map(static fn (Side $side): string => $side->value, $sheet->check($key)->sides ?? [])), [
            CheckKey::from('tyre_pressure'), CheckKey::from('tyre_pressure_2'), CheckKey::from('tyre_pressure_3'), CheckKey::from('tyre_pressure_4'),
        ]);
    };
    expect($asked(null))->toBe(['centre', '', '', ''])
        ->and($asked(2))->toBe(['left right', 'left right', '', ''])
        ->and($asked(4))->toBe(array_fill(0, 4, 'left right'));
});

it('looks at all that feeds fertilizer on both sides where both are fed', function (): void {
    $sides = fn (bool $both): array => array_map(
        static fn (string $key): int => count(sheetFor(Equipment::of(['meter' => 'vacuum', 'fertilizer' => true, 'fertilizer_both_sides' => $both], RowUnitType::Vacuum))->checks[$key]->sides),
        ['fertilizer_blade_diameter', 'fertilizer_bearing', 'fertilizer_boot', 'fertilizer_tube', 'fertilizer_band_depth'],
    );
    expect($sides(false))->toBe([1, 1, 1, 1, 1])->and($sides(true))->toBe([2, 2, 2, 2, 2]);
});
