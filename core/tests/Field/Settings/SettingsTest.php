<?php

declare(strict_types=1);

use Ustrel\Core\Field\Settings\Setting;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingsLog;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

function set(int $at, SettingKey $key, string $value, SettingGround $ground = new SettingGround, int $row = 0): Setting
{
    return new Setting(sprintf('%04d', $at), $key, $row, $value, $ground, Moment::ofMilliseconds(1000 * $at));
}

it('has set now what was set last, and what is set on all goes over what rows were set to before', function (): void {
    $now = (new SettingsLog([
        set(5, SettingKey::DepthMark, '6', row: 3), set(1, SettingKey::DepthMark, '4', row: 3), set(3, SettingKey::DepthMark, '5'), set(2, SettingKey::DepthMark, '9', row: 7),
        set(4, SettingKey::Air, '12'), set(4, SettingKey::Closing, '2'),
    ]))->now();
    expect(array_map(static fn (array $rows): array => array_map(static fn (Setting $of): string => $of->value, $rows), $now))
        ->toBe(['depth_mark' => [0 => '5', 3 => '6'], 'air' => [0 => '12'], 'closing' => [0 => '2']]);
});

it('recalls what the planter ended with on the ground that is most like', function (SettingGround $on, ?array $values): void {
    $clay = new SettingGround('Kiln Piece', 'Popcorn', Soil::Clay, Residue::Heavy);
    $sand = new SettingGround('Far Down', 'popcorn', Soil::Sand, Residue::Bare);
    $beans = new SettingGround('Kiln Piece', 'soybeans', Soil::Clay, Residue::Usual);
    $recalled = (new SettingsLog([
        set(1, SettingKey::Closing, '4', $clay), set(2, SettingKey::Downforce, '150 lb', $clay), set(3, SettingKey::Closing, '2', $clay), set(4, SettingKey::Downforce, '180 lb', $clay),
        set(5, SettingKey::Closing, '1', $sand), set(6, SettingKey::Downforce, '80 lb', $sand), set(7, SettingKey::Downforce, '120 lb', $beans), set(8, SettingKey::Marker, '255', $sand),
        set(9, SettingKey::Closing, '3'),
    ]))->recalled($on);
    $said = array_map(static fn (Setting $of): string => "{$of->key->value} {$of->value}", $recalled[2] ?? []);
    sort($said);
    expect($recalled === null ? null : $said)->toBe($values);
})->with([
    'the same field and crop' => [new SettingGround(' kiln  piece', 'popcorn'), ['closing 2', 'downforce 180 lb']],
    'another field like it' => [new SettingGround('Bank', 'popcorn', Soil::Clay, Residue::Heavy), ['closing 2', 'downforce 180 lb']],
    'a silt is nearer to clay than to sand' => [new SettingGround('Bank', 'popcorn', Soil::Silt, Residue::Usual), ['closing 2', 'downforce 180 lb']],
    'a loam that was left bare is nearer to sand' => [new SettingGround('Bank', 'popcorn', Soil::Loam, Residue::Bare), ['closing 1', 'downforce 80 lb']],
    'the same field under another crop' => [new SettingGround('Kiln Piece', 'soybeans', Soil::Clay), ['downforce 120 lb']],
    'nothing like it' => [new SettingGround('Bank', 'canola', Soil::Stony, Residue::Bare), null],
]);
