<?php

declare(strict_types=1);

use Ustrel\Core\Field\Settings\SaidSetting;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingsLine;
use Ustrel\Core\Field\Settings\UnreadableSettings;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

it('reads settings as they are told', function (string $line, array $expected): void {
    $said = array_map(static fn (SaidSetting $of): array => [$of->key->value, implode(' ', $of->rows), $of->figure ?? $of->value, $of->units?->value], SettingsLine::read($line, 16)->settings);
    expect($said)->toBe($expected);
})->with([
    ['downforce 180 lb rows 3-6, closing 2', [['downforce', '3 4 5 6', '180 lb', null], ['closing', '0', '2', null]]],
    ['row 3 depth mark 6.5', [['depth_mark', '3', 6.5, null]]],
    ['Row cleaners up one, rows 1-2+16 depth 7', [['cleaner', '0', 'up one', null], ['depth_mark', '1 2 16', 7.0, null]]],
    ['air 18 in, vacuum 45 mbar row 2', [['air', '0', 18.0, 'in'], ['air', '2', 45.0, 'mm']]],
    ['34,000 seeds, 5.5 mph', [['population', '0', 34000.0, 'in'], ['speed', '0', 5.5, 'in']]],
    ['population 33.5k, speed 8,5 km/h', [['population', '0', 33500.0, null], ['speed', '0', 8.5, 'mm']]],
    ['population: 84,000 /ha', [['population', '0', 84000.0, 'mm']]],
    ['sprocket box 15, 17, 19; sprockets 17 to 24', [['sprocket_box', '0', '15, 17, 19', null], ['sprockets', '0', '17 to 24', null]]],
    ['offset 4 in, guidance line A to B, press wheel 3, drive-wheel screw 2 turns rows 1-2', [['fertilizer_offset', '0', 4.0, 'in'], ['guidance_line', '0', 'A to B', null], ['press_wheel', '0', '3', null], ['drive_wheel', '1 2', '2 turns', null]]],
    ['depth to 6', [['depth_mark', '0', 6.0, null]]],
    ['depth 2 1/4 row 3, speed 5 mph', [['depth_mark', '3', 2.25, null], ['speed', '0', 5.0, 'in']]],
    ['fertilizer 8 gal/ac, fertilizer outlet 32', [['fertilizer_rate', '0', '8 gal/ac', null], ['fertilizer_outlet', '0', '32', null]]],
    ['closing 2 row 1 and 16, closing 3 rows 2 to 15', [['closing', '1 16', '2', null], ['closing', implode(' ', range(2, 15)), '3', null]]],
]);

it('hears in what a depth is told', function (string $told, float $figure, ?DepthScale $scale): void {
    $said = SettingsLine::read($told, 16)->settings[0];
    expect([$said->key, $said->figure, $said->scale])->toBe([SettingKey::DepthMark, $figure, $scale]);
})->with([
    ['depth 5 notches', 5.0, DepthScale::Notches], ['depth notch 5', 5.0, null], ['depth 3 1/2 turns rows 2-3', 3.5, DepthScale::Turns], ['depth hole 3', 3.0, DepthScale::Holes],
    ['depth 2 1/4 in', 2.25, DepthScale::Inches], ['depth 1/2"', 0.5, DepthScale::Inches], ['depth mark 6.5', 6.5, null], ['depth 6,5 marks', 6.5, DepthScale::Marks], ['depth 1 turn', 1.0, DepthScale::Turns],
]);

it('takes ground and how it went out of the line', function (): void {
    $line = SettingsLine::read('closing 2, clay, heavy residue, note: held its depth, sidewalls fine', 8);
    expect($line->soil)->toBe(Soil::Clay)->and($line->residue)->toBe(Residue::Heavy)->and($line->settings)->toHaveCount(1);
})->throws(UnreadableSettings::class, 'sidewalls fine');

it('keeps a note with commas between semicolons', function (): void {
    $line = SettingsLine::read('closing 2; sandy; note held its depth, sidewalls fine', 8);
    expect($line->note)->toBe('held its depth, sidewalls fine')->and($line->soil)->toBe(Soil::Sand);
});

it('says what of a line it cannot read', function (string $line, string $fault, string $typed): void {
    try {
        SettingsLine::read($line, 8);
    } catch (UnreadableSettings $unreadable) {
        expect([$unreadable->fault, $unreadable->typed])->toBe([$fault, $typed]);

        return;
    }
    expect($line)->toBe('refused');
})->with([
    ['downforce 180, wobble 3', 'no_key', 'wobble 3'], ['downforce', 'no_value', 'downforce'], ['closing 2, 17', 'bare_number', '17'], ['speed fast', 'no_figure', 'speed fast'],
    ['air 18 psi', 'no_figure', 'air 18 psi'], ['depth 6 row 9', 'no_rows', '9'], ['depth 6 rows 5-3', 'no_rows', '5-3'], ['depth 6 rows all', 'no_rows', 'depth 6 rows all'], ['row 0 depth 6', 'no_rows', '0'],
    ['speed 5 row 2', 'not_of_rows', 'speed 5 row 2'], ['closing 2, closing 3', 'twice', 'closing 3'], ['closing 2 rows 1-4, closing 3 row 4', 'twice', 'closing 3 row 4'],
    ['clay, heavy residue', 'nothing', 'clay, heavy residue'], ['', 'nothing', ''], ['depth 1.2.3', 'no_depth', 'depth 1.2.3'], ['depth 5 cm', 'no_depth', 'depth 5 cm'], ['depth holes', 'no_depth', 'depth holes'], ['ballast 5k', 'no_figure', 'ballast 5k'],
]);
