<?php

declare(strict_types=1);

use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Figure;
use Ustrel\Core\Spec\InvalidSpecSheet;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecFault;
use Ustrel\Core\Spec\SpecSheetReader;

/** @return list<string> */
function faultsOf(array $sheet): array
{
    try {
        SpecSheetReader::read($sheet);
    } catch (InvalidSpecSheet $invalid) {
        return array_map(fn (SpecFault $fault): string => "{$fault->path} {$fault->wordKey}", $invalid->faults);
    }

    return [];
}

/** @return array<string, string> */
function printed(Sheet $sheet, CheckKey $key): array
{
    return array_map(
        fn (Figure $figure): string => (new QuantityPrinter(UnitSystem::Inch))->print($figure->quantity),
        $sheet->checks[$key->value]->figures,
    );
}

it('ships typical sheets with the figures of the trade', function (RowUnitType $type): void {
    $sheet = SpecSheetReader::read(typicalSheet($type));
    expect($sheet->type)->toBe($type)
        ->and(printed($sheet, CheckKey::from('opener_blade_diameter')))->toBe(($type === RowUnitType::SingleDiscDrill ? ['new' => '18 in', 'limit' => '17 1/4 in'] : ['new' => '15 in', 'limit' => '14 1/2 in']) + ['margin' => '1/8 in', 'life' => '500 mi'])
        ->and((new QuantityPrinter(UnitSystem::Inch))->print($sheet->notch->quantity))->toBe('1/4 in');
    foreach ($sheet->checks as $check) {
        foreach ($check->figures as $figure) {
            expect($figure->source)->not->toBe('');
        }
    }
})->with(RowUnitType::cases());

it('has two blades and a contact on a double-disc unit, one blade and no contact on a drill', function (): void {
    $double = SpecSheetReader::read(typicalSheet());
    $drill = SpecSheetReader::read(typicalSheet(RowUnitType::SingleDiscDrill));
    expect(printed($double, CheckKey::from('blade_contact_length')))->toBe(['low' => '1 1/2 in', 'high' => '2 1/2 in', 'aim' => '2 in', 'margin' => '1/8 in', 'life' => '500 mi'])
        ->and($double->checks['opener_blade_diameter']->sides)->toBe([Side::Left, Side::Right])
        ->and($drill->checks['opener_blade_diameter']->sides)->toBe([Side::Centre])
        ->and($drill->check(CheckKey::from('blade_contact_length')))->toBeNull();
});

it('counts what a row and the planter take of what is chosen', function (): void {
    $chosen = sheetFor()->only(['opener_blade_diameter', 'blade_contact_length', 'lights', 'no_such_check']);
    expect($chosen->placesOfRow(1))->toBe(3)->and($chosen->placesOfPlanter())->toBe(1);
});

it('names what a sheet cannot be judged by', function (string $path, string|array $value, string $expected): void {
    $sheet = typicalSheet();
    $target = &$sheet;
    foreach (explode('.', $path) as $step) {
        $target = &$target[$step];
    }
    $target = $value;
    expect(faultsOf($sheet))->toBe([$expected]);
})->with([
    ['checks.opener_blade_diameter.figures.limit.value', '15 in', 'opener_blade_diameter.limit spec.limit_not_under_new'],
    ['checks.opener_blade_diameter.figures.limit.value', '15 1/16', 'opener_blade_diameter.limit spec.limit_not_under_new'],
    ['checks.opener_blade_diameter.figures.margin.value', '1/2', 'opener_blade_diameter.margin spec.margin_past_new'],
    ['checks.opener_blade_diameter.figures.new.value', '15 3/', 'opener_blade_diameter.new number.unfinished_fraction'],
    ['checks.opener_blade_diameter.figures.new.source', '  ', 'opener_blade_diameter.new spec.no_source'],
    ['checks.blade_contact_length.figures.low.value', '2 1/2', 'blade_contact_length.high spec.window_upside_down'],
    ['checks.blade_contact_length.figures.aim.value', '3', 'blade_contact_length.aim spec.aim_outside_window'],
    ['checks.blade_contact_length.figures.margin.value', '1/2', 'blade_contact_length.margin spec.margins_meet'],
    ['checks.blade_contact_length.sides', [], 'blade_contact_length spec.no_sides'],
    ['checks.arm_play_side.figures.watch.value', '1/4 in', 'arm_play_side.watch spec.watch_not_under_limit'],
    ['checks.chain_length.figures.limit.value', '1 %', 'chain_length.watch spec.watch_not_under_limit'],
    ['checks.toolbar_pitch.figures.low.value', '2°', 'toolbar_pitch.high spec.range_upside_down'],
    ['checks.tyre_pressure.figures.target.value', 'firm', 'tyre_pressure.target number.not_a_number'],
    ['checks.inner_shims.figures.least.value', '1.5', 'inner_shims.least number.not_whole'],
    ['checks.magneto', [], 'magneto spec.unknown_check'],
    ['notch.value', '0', 'notch spec.zero'],
    ['type', 'walking stick', 'type spec.unknown_type'],
]);

it('names every fault at once', function (): void {
    $sheet = typicalSheet();
    $sheet['checks']['opener_blade_diameter']['figures']['limit']['value'] = '16';
    $sheet['checks']['blade_contact_length']['figures']['high']['value'] = '1';
    $sheet['notch']['value'] = '';
    expect(faultsOf($sheet))->toHaveCount(3)
        ->and(faultsOf([]))->not->toBe([]);
});
