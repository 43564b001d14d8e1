<?php

declare(strict_types=1);

use Ustrel\Core\Field\Settings\SettingFit;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingValue;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\OtherRows;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\SpecSheetReader;
use Ustrel\Core\Walk\Glance;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkOrder;
use Ustrel\Core\Wear\History;
use Ustrel\Core\Wear\PlanterWear;
use Ustrel\Core\Work\Lubrication;

/** @param  array<string, mixed>  $given */
function mostCarry(array $given = [], RowUnitType $type = RowUnitType::Vacuum): Equipment
{
    return Equipment::of($given, $type);
}

/** @param  list<array{list<int>, array<string, string|bool|int|null>, 2?: Sheet}>  $others  rows, what they carry instead, their sheet */
function rowUnits(int $rows, array $others, array $parked = [], array $most = []): RowUnits
{
    $equipment = mostCarry($most);

    return new RowUnits($rows, $equipment, array_map(static fn (array $other): OtherRows => new OtherRows($other[0], $equipment->with($other[1]), $other[2] ?? null), $others), $parked);
}

function sheetAcross(RowUnits $units): Sheet
{
    return SpecSheetReader::read(typicalSheet())->across($units);
}

/** @return list<string> */
function placesOnRow(Sheet $sheet, int $row): array
{
    $places = [];
    foreach ($sheet->at($row)->ofRows() as $check) {
        foreach ($check->sides as $side) {
            $places[] = (new Place($row, $check->key, $side))->key();
        }
    }

    return $places;
}

it('judges each row as its own closing wheels want it', function (string $check, string $typed, int $row, string $verdict): void {
    // Rubber wheels 1 1/2 in apart, spiked poly 1 1/4, each within 1/8; off center by 1/4 in and by 1/8.
    $sheet = sheetAcross(rowUnits(8, [[[7, 8], ['closing_wheels' => 'spiked_poly']]]));
    $of = $sheet->at($row)->checks[$check];
    expect($of->judge(Answer::figure($of->unit->read($typed, UnitSystem::Inch)), Background::of())->verdict->value)->toBe($verdict);
})->with([
    ['closing_gap', '1 1/2', 1, 'sound'], ['closing_gap', '1 1/4', 1, 'change'], ['closing_gap', '1 1/4', 7, 'sound'], ['closing_gap', '1 1/2', 8, 'change'],
    ['closing_centring', '3/16', 6, 'sound'], ['closing_centring', '3/16', 7, 'change'],
]);

it('asks a row for what it has, and no row for what it has not', function (): void {
    $sheet = sheetAcross(rowUnits(8, [[[3], ['closing_wheels' => 'chain']], [[5, 6], ['coulter' => true]]]));
    expect($sheet->at(3)->check(CheckKey::from('closing_gap')))->toBeNull()
        ->and($sheet->at(3)->check(CheckKey::from('closing_chain')))->not->toBeNull()
        ->and($sheet->at(2)->check(CheckKey::from('closing_chain')))->toBeNull()
        ->and($sheet->check(CheckKey::from('closing_chain'))->rows)->toBe([3])
        ->and($sheet->check(CheckKey::from('coulter_bearing'))->rows)->toBe([5, 6])
        ->and($sheet->check(CheckKey::from('closing_gap'))->rows)->toBe([1, 2, 4, 5, 6, 7, 8])
        ->and($sheet->check(CheckKey::from('opener_bearing'))->rows)->toBeNull()
        // What is checked on the planter as a whole stays with it.
        ->and($sheet->at(0)->check(CheckKey::from('frame_locks')))->not->toBeNull();
});

it('is on each row what a whole planter of that row would be', function (int $seed): void {
    mt_srand($seed);
    $kinds = ['closing_wheels' => ['cast', 'spiked_steel', 'chain', 'none'], 'firmer' => [true, false], 'coulter' => [true, false], 'row_cleaner' => [true, false], 'downforce' => ['none', 'air', 'hydraulic'], 'meter' => ['finger', 'positive_air'], 'fertilizer' => [true, false], 'press_wheel' => ['tamps'], 'covering_discs' => [true]];
    $rows = mt_rand(2, 24);
    $left = range(1, $rows);
    shuffle($left);
    $others = [];
    for ($group = 0; $group < 3 && count($left) > 1; $group++) {
        $of = array_splice($left, 0, mt_rand(1, min(4, count($left) - 1)));
        $with = array_map(static fn (array $some): mixed => $some[array_rand($some)], array_intersect_key($kinds, array_flip((array) array_rand($kinds, mt_rand(1, 3)))));
        $others[] = [$of, $with, ...(mt_rand(0, 2) === 0 ? [SpecSheetReader::read(typicalSheet(RowUnitType::Finger))] : [])];
    }
    $parked = mt_rand(0, 1) === 1 ? [array_pop($left)] : [];
    $units = rowUnits($rows, $others, $parked);
    $sheet = sheetAcross($units);
    $sum = 0;
    for ($row = 1; $row <= $rows; $row++) {
        $alone = ($units->sheetAt($row) ?? SpecSheetReader::read(typicalSheet()))->for($units->at($row))->ofRows();
        $alone = $units->isParked($row) ? [] : $alone;
        $figures = static fn (array $checks): array => array_map(static fn (Check $check): array => [$check->sides, $check->figures, $check->rule], $checks);
        expect($figures($sheet->at($row)->ofRows()))->toEqual($figures($alone));
        foreach ($sheet->at($row)->ofRows() as $check) {
            expect($check->isOn([$row]))->toBeTrue();
        }
        $sum += array_sum(array_map(static fn (Check $check): int => count($check->sides), $alone));
    }
    // However a planter is gone through, each place is come to once, and no other.
    $all = array_merge(...array_map(static fn (int $row): array => placesOnRow($sheet, $row), range(1, $rows)));
    sort($all);
    foreach (WalkOrder::cases() as $order) {
        $gone = array_map(static fn (Place $place): string => $place->key(), array_values(array_filter(Route::through($sheet, $rows, $order)->places, static fn (Place $place): bool => $place->row > 0)));
        sort($gone);
        expect($gone)->toBe($all)->and($gone)->toHaveCount($sum);
    }
})->with(range(1, 40));

it('goes by the figures of another sheet on the rows that have one', function (): void {
    $written = typicalSheet(RowUnitType::Finger);
    $written['checks']['opener_blade_diameter']['figures']['limit']['value'] = '14 in';
    $sheet = sheetAcross(rowUnits(6, [[[5, 6], ['meter' => 'finger'], SpecSheetReader::read($written)]]));
    $judged = static fn (int $row): string => $sheet->at($row)->checks['opener_blade_diameter']->judge(Answer::figure($sheet->checks['opener_blade_diameter']->unit->read('14 1/4', UnitSystem::Inch)), Background::of())->verdict->value;
    expect([$judged(1), $judged(5)])->toBe(['change', 'sound']);

    // Each wears toward its own limit: 14 1/2 in of 15 in on four rows, 14 in on two.
    $wearing = array_values(array_filter(PlanterWear::checks($sheet), static fn (Check $check): bool => $check->key->is('opener_blade_diameter')));
    expect(array_column($wearing, 'rows'))->toBe([[1, 2, 3, 4], [5, 6]])
        ->and(array_map(static fn (Check $check): float => round($check->wear()->limit, 1), $wearing))->toBe([368.3, 355.6])
        ->and(PlanterWear::keys($wearing))->toBe(['opener_blade_diameter']);
    $history = History::of(6, [], [], []);
    expect(array_keys($history->traces($wearing[1])))->toBe(['5:opener_blade_diameter:left', '5:opener_blade_diameter:right', '6:opener_blade_diameter:left', '6:opener_blade_diameter:right']);
});

it('asks nothing of parked rows', function (): void {
    $units = rowUnits(7, [], [2, 4, 6]);
    $sheet = sheetAcross($units);
    expect($units->running())->toBe([1, 3, 5, 7])
        ->and($sheet->placesOfRow(2))->toBe(0)->and($sheet->placesOfRow(1))->toBe($sheet->placesOfRow(7))->and($sheet->placesOfRow(1))->toBeGreaterThan(40)
        ->and($sheet->check(CheckKey::from('opener_blade_diameter'))->rows)->toBe([1, 3, 5, 7]);
    foreach (Glance::ofVerdicts($sheet, $sheet, Route::through($sheet, 7, WalkOrder::RowByRow)->places, 7, []) as $line) {
        expect([$line[1], $line[3], $line[5]])->toBe([null, null, null])->and($line[0])->not->toBeNull();
    }
});

it('knows how far apart the rows that plant stand', function (int $rows, array $parked, int $apart): void {
    expect(RowUnits::apart($rows, $parked))->toBe($apart);
})->with([[8, [], 1], [8, [2, 4, 6, 8], 2], [31, range(2, 30, 2), 2], [16, [1], 1], [9, [2, 3, 5, 6, 8, 9], 3], [6, [3, 4], 1], [1, [], 1], [3, [1, 3], 1]]);

it('greases, takes off and sets only where there is something', function (): void {
    $units = rowUnits(16, [[[1, 2, 3, 4], ['row_cleaner' => true]], [[5, 6], ['closing_wheels' => 'chain']]], [16], ['row_cleaner' => false, 'downforce' => 'spring']);
    $minutes = array_column(array_map(static fn (Lubrication $of): array => [$of->point, $of->minutes], Lubrication::read(Lubrication::points(), $units)), 1, 0);
    // A minute a row on the rows that plant and have it: 4 with row cleaners, 13 with closing arms, 15 with gauge wheels; 3 for the hitch.
    expect($minutes['row_cleaner_hubs'])->toBe(4)->and($minutes['closing_arms'])->toBe(13)->and($minutes['gauge_wheel_arms'])->toBe(15)->and($minutes['hitch'])->toBe(3);
    $fits = static fn (SettingKey $key, int $row): SettingFit => SettingFit::of(new SettingValue('a', $key, $row, '1', new SettingGround, Moment::ofMilliseconds(1)), $units, $units);
    expect([$fits(SettingKey::Cleaner, 1), $fits(SettingKey::Cleaner, 7), $fits(SettingKey::Cleaner, 0)])->toBe([SettingFit::Fits, SettingFit::NotFitted, SettingFit::Fits])
        ->and(JobBook::typical()->on($units)->minutesOnRows([]))->toBe(0.0);
});

it('judges the band and the tires by what the planter itself wants, on the rows that have them', function (string $check, ?string $wanted, string $typed, string $verdict): void {
    $sheet = sheetAcross(rowUnits(4, [[[4], ['fertilizer' => false]]], [], ['fertilizer' => true, 'tires' => true]))->wanting($wanted === null ? [] : [$check => $wanted]);
    $of = $sheet->check(CheckKey::from($check));
    expect($of->judge(Answer::figure($of->unit->read($typed, UnitSystem::Inch)), Background::of())->verdict->value)->toBe($verdict)
        ->and($sheet->at(4)->check(CheckKey::from('fertilizer_band_offset')))->toBeNull()
        // Rows and planter speak of one and the same check.
        ->and($sheet->at(1)->checks['fertilizer_band_offset'])->toBe($sheet->checks['fertilizer_band_offset']);
})->with([
    // 2 in beside, within 1/2 in; unsaid, it is written down and judged sound, wherever it lies.
    ['fertilizer_band_offset', '2 in', '2 1/2', 'sound'], ['fertilizer_band_offset', '2 in', '2 9/16', 'change'], ['fertilizer_band_offset', '2 in', '1 7/16', 'change'], ['fertilizer_band_offset', null, '4', 'sound'],
    // Level with the seed is 0.
    ['fertilizer_band_depth', '2 in', '0', 'change'], ['fertilizer_band_depth', '0 in', '0', 'sound'], ['fertilizer_band_depth', '5 cm', '2', 'sound'],
    // The sheet wants 60 psi within 3.
    ['tyre_pressure', null, '45', 'change'], ['tyre_pressure', '45 psi', '45', 'sound'], ['tyre_pressure', '45 psi', '49', 'change'], ['tyre_pressure', '3 bar', '43', 'sound'],
]);

it('takes the target on every row, however its sides, and the tolerance of the sheet', function (): void {
    $written = typicalSheet();
    $written['checks']['tyre_pressure']['figures'] = ['target' => ['value' => '60 psi', 'source' => 'm'], 'tolerance' => ['value' => '5 psi', 'source' => 'm']];
    $units = rowUnits(4, [[[4], ['fertilizer_both_sides' => true]]], [], ['fertilizer' => true, 'tires' => true]);
    $sheet = SpecSheetReader::read($written)->across($units)->wanting(['fertilizer_band_offset' => '2 in', 'tyre_pressure' => '45 psi']);
    $judged = static fn (Check $check, string $typed): string => $check->judge(Answer::figure($check->unit->read($typed, UnitSystem::Inch)), Background::of())->verdict->value;
    expect($judged($sheet->at(4)->checks['fertilizer_band_offset'], '3'))->toBe('change')->and(count($sheet->at(4)->checks['fertilizer_band_offset']->sides))->toBe(2)
        ->and($judged($sheet->at(1)->checks['fertilizer_band_offset'], '3'))->toBe('change')
        ->and([$judged($sheet->checks['tyre_pressure'], '50'), $judged($sheet->checks['tyre_pressure'], '51')])->toBe(['sound', 'change']);
});
