<?php

declare(strict_types=1);

use Ustrel\Core\Field\Settings\SettingFit;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingsLog;
use Ustrel\Core\Field\Settings\SettingValue;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

function set(int $at, SettingKey $key, string $value, SettingGround $ground = new SettingGround, int $row = 0): SettingValue
{
    return new SettingValue(sprintf('%04d', $at), $key, $row, $value, $ground, Moment::ofMilliseconds(1000 * $at));
}

it('has set now what was set last, and what is set on all goes over what rows were set to before', function (): void {
    $now = (new SettingsLog([
        set(5, SettingKey::DepthMark, '6', row: 3), set(1, SettingKey::DepthMark, '4', row: 3), set(3, SettingKey::DepthMark, '5'), set(2, SettingKey::DepthMark, '9', row: 7),
        set(4, SettingKey::Air, '12'), set(4, SettingKey::Closing, '2'),
    ]))->now();
    expect(array_map(static fn (array $rows): array => array_map(static fn (SettingValue $of): string => $of->value, $rows), $now))
        ->toBe(['depth_mark' => [0 => '5', 3 => '6'], 'air' => [0 => '12'], 'closing' => [0 => '2']]);
});

it('recalls what the planter ended with on the ground that is most like', function (SettingGround $on, array $values): void {
    $clay = new SettingGround('Kiln Piece', 'Popcorn', Soil::Clay, Residue::Heavy);
    $sand = new SettingGround('Far Down', 'popcorn', Soil::Sand, Residue::Bare);
    $beans = new SettingGround('Kiln Piece', 'soybeans', Soil::Clay, Residue::Usual);
    $recalled = (new SettingsLog([
        set(1, SettingKey::Closing, '4', $clay), set(2, SettingKey::Downforce, '150 lb', $clay), set(3, SettingKey::Closing, '2', $clay), set(4, SettingKey::Downforce, '180 lb', $clay),
        set(5, SettingKey::Closing, '1', $sand), set(6, SettingKey::Downforce, '80 lb', $sand), set(7, SettingKey::Downforce, '120 lb', $beans), set(8, SettingKey::Marker, '255', $sand),
        set(9, SettingKey::Closing, '3'),
    ]))->recalled($on);
    $said = array_map(static fn (SettingValue $of): string => "{$of->key->value} {$of->value}", $recalled);
    sort($said);
    expect($said)->toBe($values);
})->with([
    'the same field and crop' => [new SettingGround(' kiln  piece', 'popcorn'), ['closing 2', 'downforce 180 lb']],
    'another field like it' => [new SettingGround('Bank', 'popcorn', Soil::Clay, Residue::Heavy), ['closing 2', 'downforce 180 lb']],
    'a silt is nearer to clay than to sand' => [new SettingGround('Bank', 'popcorn', Soil::Silt, Residue::Usual), ['closing 2', 'downforce 180 lb']],
    'a loam that was left bare is nearer to sand' => [new SettingGround('Bank', 'popcorn', Soil::Loam, Residue::Bare), ['closing 1', 'downforce 80 lb']],
    'the same field under another crop' => [new SettingGround('Kiln Piece', 'soybeans', Soil::Clay), ['closing 2', 'downforce 120 lb']],
    'nothing like it' => [new SettingGround('Bank', 'canola', Soil::Stony, Residue::Bare), []],
]);

it('takes each setting from the nearest ground where it was made: by crop and disc without soil, rows in order', function (): void {
    $clay = new SettingGround('Kiln Piece', 'popcorn', Soil::Clay, Residue::Heavy);
    $sand = new SettingGround('Far Down', 'popcorn', Soil::Sand, Residue::Bare);
    $log = new SettingsLog([
        set(1, SettingKey::Disc, '24 large', $clay), set(2, SettingKey::Air, '18', $clay), set(3, SettingKey::DepthMark, '5', $clay), set(4, SettingKey::DepthMark, '6', $clay, 7), set(5, SettingKey::DepthMark, '5.5', $clay, 3),
        set(6, SettingKey::Closing, '2', $clay), set(7, SettingKey::Disc, '30 small', $sand), set(8, SettingKey::Air, '12', $sand), set(9, SettingKey::Closing, '1', $sand),
        set(10, SettingKey::Disc, '24 large', $sand), set(11, SettingKey::Population, '30000', new SettingGround('', 'popcorn')),
    ]);
    $said = array_map(static fn (SettingValue $of): string => "{$of->key->value} {$of->row} {$of->value}", $log->recalled(new SettingGround('Bank', 'popcorn', Soil::Sand, Residue::Bare)));
    // The disc that was in last for popcorn, and the air of that disc, though it was on clay; depth was set on clay alone and is too far.
    expect($said)->toBe(['population 0 30000', 'disc 0 24 large', 'air 0 18', 'closing 0 1']);
    $onClay = array_map(static fn (SettingValue $of): string => "{$of->key->value} {$of->row} {$of->value}", $log->recalled(new SettingGround('', 'popcorn', Soil::Clay)));
    expect($onClay)->toBe(['population 0 30000', 'disc 0 24 large', 'air 0 18', 'depth_mark 0 5', 'depth_mark 3 5.5', 'depth_mark 7 6', 'closing 0 2']);
});

it('takes the newer of two grounds that are as near', function (): void {
    [$clay, $sand] = [new SettingGround('A', 'popcorn', Soil::Clay), new SettingGround('B', 'popcorn', Soil::Sand)];
    $of = static fn (SettingValue ...$made): array => array_map(static fn (SettingValue $one): string => $one->value, (new SettingsLog($made))->recalled(new SettingGround('C', 'popcorn')));
    expect($of(set(1, SettingKey::Population, '30000', $clay), set(2, SettingKey::Population, '34000', $sand)))->toBe(['34000'])
        ->and($of(set(1, SettingKey::Population, '34000', $sand), set(2, SettingKey::Population, '30000', $clay)))->toBe(['30000']);
});

it('says what another planter cannot take', function (SettingKey $key, int $row, Equipment $to, SettingFit $fit): void {
    $from = Equipment::of(['meter' => 'vacuum', 'drive' => 'ground', 'downforce' => 'hydraulic', 'fertilizer' => true], RowUnitType::Vacuum);
    expect(SettingFit::of(set(1, $key, '1', row: $row), new RowUnits(8, $from), new RowUnits(8, $to)))->toBe($fit);
})->with([
    [SettingKey::Closing, 8, Equipment::of(['meter' => 'finger'], RowUnitType::Vacuum), SettingFit::Fits], [SettingKey::Closing, 9, Equipment::of(['meter' => 'finger'], RowUnitType::Vacuum), SettingFit::NoSuchRow],
    [SettingKey::Air, 0, Equipment::of(['meter' => 'finger'], RowUnitType::Vacuum), SettingFit::NotFitted], [SettingKey::Air, 0, Equipment::of(['meter' => 'positive_air'], RowUnitType::Vacuum), SettingFit::Fits],
    [SettingKey::Sprockets, 0, Equipment::of(['meter' => 'vacuum'], RowUnitType::Vacuum), SettingFit::NotFitted], [SettingKey::Downforce, 3, Equipment::of(['meter' => 'vacuum'], RowUnitType::Vacuum), SettingFit::OtherDownforce],
    [SettingKey::Downforce, 3, Equipment::of(['meter' => 'vacuum', 'downforce' => 'hydraulic'], RowUnitType::Vacuum), SettingFit::Fits], [SettingKey::Downforce, 0, Equipment::of(['meter' => 'plate', 'downforce' => 'none'], RowUnitType::Vacuum), SettingFit::NotFitted],
    [SettingKey::Cleaner, 0, Equipment::of(['meter' => 'vacuum', 'row_cleaner' => false], RowUnitType::Vacuum), SettingFit::NotFitted], [SettingKey::FertilizerRate, 0, Equipment::of(['meter' => 'vacuum'], RowUnitType::Vacuum), SettingFit::NotFitted],
    [SettingKey::FertilizerOffset, 0, Equipment::of(['meter' => 'vacuum', 'liquid' => true], RowUnitType::Vacuum), SettingFit::Fits], [SettingKey::Circumference, 0, Equipment::of(['meter' => 'vacuum', 'drive' => 'ground'], RowUnitType::Vacuum), SettingFit::ItsOwn],
    [SettingKey::DepthMark, 3, Equipment::of(['meter' => 'vacuum', 'depth_scale' => 'turns'], RowUnitType::Vacuum), SettingFit::OtherDepthScale], [SettingKey::DepthMark, 0, Equipment::of(['meter' => 'vacuum', 'depth_scale' => 'notches'], RowUnitType::Vacuum), SettingFit::Fits],
    [SettingKey::SprocketBox, 0, Equipment::of(['meter' => 'vacuum', 'drive' => 'ground'], RowUnitType::Vacuum), SettingFit::ItsOwn], [SettingKey::DriveWheel, 0, Equipment::of(['meter' => 'vacuum', 'drive' => 'electric'], RowUnitType::Vacuum), SettingFit::NotFitted],
]);
