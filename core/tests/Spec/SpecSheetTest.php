<?php

declare(strict_types=1);

use Ustrel\Core\Measure\LengthPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Figure;
use Ustrel\Core\Spec\InvalidSpecSheet;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecFault;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Spec\SpecSheetReader;

/** @return array<string, mixed> */
function typicalSheet(RowUnitType $type = RowUnitType::Vacuum): array
{
    return json_decode((string) file_get_contents(__DIR__."/../../specs/{$type->value}.json"), true, 16, JSON_THROW_ON_ERROR);
}

/** @return list<string> */
function faultsOf(array $sheet): array
{
    try {
        SpecSheetReader::read($sheet);
    } catch (InvalidSpecSheet $invalid) {
        return array_map(fn (SpecFault $fault): string => "{$fault->path} {$fault->code}", $invalid->faults);
    }

    return [];
}

/** @return array<string, string> */
function printed(SpecSheet $sheet, CheckKey $key): array
{
    return array_map(
        fn (Figure $figure): string => (new LengthPrinter(UnitSystem::Inch))->figure($figure->length),
        $sheet->checks[$key->value]->figures,
    );
}

it('ships typical sheets with the figures of the trade', function (RowUnitType $type): void {
    $sheet = SpecSheetReader::read(typicalSheet($type));
    expect($sheet->type)->toBe($type)
        ->and(printed($sheet, CheckKey::OpenerBladeDiameter))->toBe(['new' => '15', 'limit' => '14 1/2', 'margin' => '1/8'])
        ->and((new LengthPrinter(UnitSystem::Inch))->figure($sheet->notch->length))->toBe('1/4');
    foreach ($sheet->checks as $check) {
        foreach ($check->figures as $figure) {
            expect($figure->source)->not->toBe('');
        }
    }
})->with(RowUnitType::cases());

it('has two blades and a contact on a double-disc unit, one blade and no contact on a drill', function (): void {
    $double = SpecSheetReader::read(typicalSheet());
    $drill = SpecSheetReader::read(typicalSheet(RowUnitType::SingleDiscDrill));
    expect($double->placesPerRow())->toBe(3)
        ->and(printed($double, CheckKey::BladeContactLength))->toBe(['low' => '1 1/2', 'high' => '2 1/2', 'aim' => '2', 'margin' => '1/8'])
        ->and($double->checks['opener_blade_diameter']->has(Side::Right))->toBeTrue()
        ->and($double->checks['opener_blade_diameter']->has(Side::Centre))->toBeFalse()
        ->and($drill->placesPerRow())->toBe(1)
        ->and($drill->check(CheckKey::BladeContactLength))->toBeNull();
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
    ['checks.opener_blade_diameter.figures.limit.value', '15 in', 'opener_blade_diameter.limit limit_not_under_new'],
    ['checks.opener_blade_diameter.figures.limit.value', '15 1/16', 'opener_blade_diameter.limit limit_not_under_new'],
    ['checks.opener_blade_diameter.figures.margin.value', '1/2', 'opener_blade_diameter.margin margin_past_new'],
    ['checks.opener_blade_diameter.figures.new.value', '15 3/', 'opener_blade_diameter.new unreadable'],
    ['checks.opener_blade_diameter.figures.new.source', '  ', 'opener_blade_diameter.new no_source'],
    ['checks.blade_contact_length.figures.low.value', '2 1/2', 'blade_contact_length.high window_upside_down'],
    ['checks.blade_contact_length.figures.aim.value', '3', 'blade_contact_length.aim aim_outside_window'],
    ['checks.blade_contact_length.figures.margin.value', '1/2', 'blade_contact_length.margin margins_meet'],
    ['checks.blade_contact_length.sides', [], 'blade_contact_length no_sides'],
    ['checks.blade_contact_length.rule', 'guess', 'blade_contact_length unknown_rule'],
    ['checks.hopper_lid', [], 'hopper_lid unknown_check'],
    ['notch.value', '0', 'notch zero'],
    ['type', 'walking stick', 'type unknown_type'],
]);

it('names every fault at once', function (): void {
    $sheet = typicalSheet();
    $sheet['checks']['opener_blade_diameter']['figures']['limit']['value'] = '16';
    $sheet['checks']['blade_contact_length']['figures']['high']['value'] = '1';
    $sheet['notch']['value'] = '';
    expect(faultsOf($sheet))->toHaveCount(3)
        ->and(faultsOf([]))->not->toBe([]);
});
