<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\ClosingWheels;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Unit\Catalogue;

/* Station by station, front to back: the rule at, under and over its limit, by the figures of the trade. */

it('judges measured parts', function (CheckKey $key, array $expected): void {
    foreach ($expected as $typed => $words) {
        expect(judged(sheetFor(), $key, (string) $typed))->toBe($words, "{$key->value} {$typed}");
    }
})->with([
    'coulter: 17 new, change under 15 1/2' => [CheckKey::from('coulter_diameter'), [
        '15 7/16' => ['change', 'under_limit'], '15 1/2' => ['watch', 'at_limit'], '15 3/4' => ['watch', 'near_limit'], '15 13/16' => ['sound', 'above_limit'],
    ]],
    'fertilizer opener: 16 new, change under 14 1/2' => [CheckKey::from('fertilizer_blade_diameter'), [
        '14 7/16' => ['change', 'under_limit'], '14 1/2' => ['watch', 'at_limit'], '16' => ['sound', 'above_limit'],
    ]],
    'parallel arms up and down: over 1/8 watch, over 1/4 change' => [CheckKey::from('arm_play_vertical'), [
        '1/8' => ['sound', 'little_play'], '9/64' => ['watch', 'over_play_watch'], '1/4' => ['watch', 'over_play_watch'], '17/64' => ['change', 'over_play_limit'],
    ]],
    'parallel arms sideways, in millimetres' => [CheckKey::from('arm_play_side'), [
        '3 mm' => ['sound', 'little_play'], '6 mm' => ['watch', 'over_play_watch'], '6.4 mm' => ['change', 'over_play_limit'],
    ]],
    // No. 40 chain, 24 pitches of 1/2 in: 12 in new; 1.5 % is 12.18 in, 3 % is 12.36 in. 1/16 in is half a percent.
    'chain over 24 pitches: over 1.5 % watch, over 3 % change' => [CheckKey::from('chain_length'), [
        '12' => ['sound', 'little_stretch'], '12 1/8' => ['sound', 'little_stretch'], '12.18' => ['sound', 'little_stretch'], '12.181' => ['watch', 'over_stretch_watch'],
        '12 3/16' => ['watch', 'over_stretch_watch'], '12.36' => ['watch', 'over_stretch_watch'], '12.361' => ['change', 'over_stretch_limit'], '12 3/8' => ['change', 'over_stretch_limit'],
    ]],
    // By a caliper, ten pitches: 5 in new; 1.5 % is 5.075 in, 3 % is 5.15 in.
    'chain by a caliper' => [CheckKey::from('chain_length'), [
        '5' => ['sound', 'little_stretch'], '5.075' => ['sound', 'little_stretch'], '5.076' => ['watch', 'over_stretch_watch'],
        '5.15' => ['watch', 'over_stretch_watch'], '5.151' => ['change', 'over_stretch_limit'],
    ]],
    'opener blades: 15 new, change under 14 1/2' => [CheckKey::from('opener_blade_diameter'), [
        '14 7/16' => ['change', 'under_limit'], '14 1/2' => ['watch', 'at_limit'], '368 mm' => ['change', 'under_limit'], '381 mm' => ['sound', 'above_limit'],
    ]],
    'blade contact: 1 1/2 to 2 1/2' => [CheckKey::from('blade_contact_length'), [
        '0' => ['change', 'no_contact'], '1 7/16' => ['change', 'under_window'], '1 1/2' => ['watch', 'near_window_low'],
        '2' => ['sound', 'in_window'], '2 1/2' => ['watch', 'near_window_high'], '2 9/16' => ['change', 'over_window'],
    ]],
    'seed tube guard: change under 3/4' => [CheckKey::from('guard_width'), [
        '47/64' => ['change', 'under_limit'], '3/4' => ['watch', 'at_limit'], '13/16' => ['sound', 'above_limit'],
    ]],
    'gauge wheel arm' => [CheckKey::from('gauge_arm_play'), ['1/8' => ['sound', 'little_play'], '1/4' => ['watch', 'over_play_watch'], '5/16' => ['change', 'over_play_limit']]],
    'closing tail: over 1/4 change the bushing' => [CheckKey::from('closing_tail_play'), ['1/4' => ['watch', 'over_play_watch'], '17/64' => ['change', 'over_play_limit']]],
]);

it('sets the closing wheels by their kind, each within 1/8', function (ClosingWheels $wheels, string $aim, string $close, string $wide): void {
    $sheet = sheetFor(Equipment::of(['meter' => 'vacuum', 'closing_wheels' => $wheels->value], RowUnitType::Vacuum));
    expect(judged($sheet, CheckKey::from('closing_gap'), $aim))->toBe(['sound', 'in_range'])
        ->and(judged($sheet, CheckKey::from('closing_gap'), $close))->toBe(['change', 'under_range'])
        ->and(judged($sheet, CheckKey::from('closing_gap'), $wide))->toBe(['change', 'over_range']);
    $limit = $wheels->isSpiked() ? ['1/8', '9/64'] : ['1/4', '17/64'];
    expect(judged($sheet, CheckKey::from('closing_centring'), $limit[0]))->toBe(['sound', 'on_centre'])
        ->and(judged($sheet, CheckKey::from('closing_centring'), $limit[1]))->toBe(['change', 'off_centre']);
})->with([
    [ClosingWheels::Rubber, '1 3/8', '1 23/64', '1 41/64'],
    [ClosingWheels::Cast, '1 5/8', '1 23/64', '1 41/64'],
    [ClosingWheels::SpikedPoly, '1 1/4', '1 7/64', '1 25/64'],
    [ClosingWheels::SpikedSteel, '1', '55/64', '1 9/64'],
]);

it('holds vacuum and depth against the other rows', function (): void {
    // Median of 18, 18.4, 18.5, 18.6, 20 is 18.5: up to 18 and 19 is like the rest.
    $vacuum = ['18', '18.4', '18.5', '18.6', '20'];
    expect(judged(sheetFor(), CheckKey::from('air_at_meter'), '18', rows: $vacuum))->toBe(['sound', 'like_rows'])
        ->and(judged(sheetFor(), CheckKey::from('air_at_meter'), '17.9', rows: $vacuum))->toBe(['watch', 'below_rows'])
        ->and(judged(sheetFor(), CheckKey::from('air_at_meter'), '19.1', rows: $vacuum))->toBe(['watch', 'above_rows'])
        ->and(judged(sheetFor(), CheckKey::from('air_at_meter'), '10', rows: ['10', '18']))->toBe(['sound', 'too_few_rows'])
        ->and(judged(sheetFor(), CheckKey::from('depth_stop_notch'), '6', rows: ['5', '5', '6']))->toBe(['sound', 'like_rows'])
        ->and(judged(sheetFor(), CheckKey::from('depth_stop_notch'), '7', rows: ['5', '5', '7']))->toBe(['change', 'above_rows'])
        ->and(judged(sheetFor(), CheckKey::from('depth_stop_notch'), '3', rows: ['5', '5', '3']))->toBe(['change', 'below_rows']);
});

it('judges counts and settings', function (): void {
    $pack = fn (string $typed): Quantity => Unit::Shim->read($typed, UnitSystem::Inch);
    $shims = fn (string $here, string $there): array => words(sheetFor()->checks['inner_shims']->judge(Answer::figure($pack($here)), Background::of(otherSide: $pack($there))));
    expect($shims('3', '3'))->toBe(['sound', 'enough_left'])
        ->and($shims('3', '2'))->toBe(['change', 'unequal_sides'])
        ->and($shims('0', '0'))->toBe(['watch', 'too_few_left'])
        ->and(judged(sheetFor(), CheckKey::from('inner_shims'), '0'))->toBe(['watch', 'too_few_left'])
        ->and(judged(sheetFor(), CheckKey::from('inner_shims'), '1'))->toBe(['sound', 'enough_left'])
        ->and(judged(sheetFor(), CheckKey::from('meter_bench_seasons'), '1'))->toBe(['sound', 'not_due'])
        ->and(judged(sheetFor(), CheckKey::from('meter_bench_seasons'), '2'))->toBe(['watch', 'due'])
        ->and(judged(sheetFor(), CheckKey::from('row_cleaner_setting'), '9'))->toBe(['sound', 'recorded'])
        ->and(judged(sheetFor(), CheckKey::from('toolbar_pitch'), '0'))->toBe(['sound', 'in_range'])
        // A hair of nose-down is within what a gauge may be off.
        ->and(judged(sheetFor(), CheckKey::from('toolbar_pitch'), '-0.1'))->toBe(['sound', 'in_range'])
        ->and(judged(sheetFor(), CheckKey::from('toolbar_pitch'), '-0.3'))->toBe(['change', 'under_range'])
        ->and(judged(sheetFor(), CheckKey::from('toolbar_pitch'), '1.6'))->toBe(['change', 'over_range'])
        ->and(judged(sheetFor(), CheckKey::from('tyre_pressure'), '57'))->toBe(['sound', 'in_range'])
        ->and(judged(sheetFor(), CheckKey::from('tyre_pressure'), '56.9'))->toBe(['change', 'under_range']);
});

it('takes the verdict that was ticked, whatever explains it; what is broken raises it', function (array $found, array $expected): void {
    expect($found)->toBe($expected);
})->with([
    'row cleaner, rounded teeth' => [fn () => found(CheckKey::from('row_cleaner_teeth'), State::Watch, Chip::TeethWorn), ['watch', 'teeth_worn']],
    'row cleaner bearing, rough' => [fn () => found(CheckKey::from('row_cleaner_bearing'), State::Watch, Chip::Rough), ['watch', 'rough']],
    'coulter, missing chunk' => [fn () => found(CheckKey::from('coulter_rim'), State::Watch, Chip::ChunkMissing), ['watch', 'chunk_missing']],
    'fertilizer boot, edge gone' => [fn () => found(CheckKey::from('fertilizer_boot'), State::Watch, Chip::EdgeGone), ['watch', 'edge_gone']],
    'parallel arm bolt, cracked' => [fn () => found(CheckKey::from('arm_bolts'), State::Change, Chip::Loose, Chip::Cracked), ['failed', 'loose', 'cracked']],
    'downforce leak' => [fn () => found(CheckKey::from('downforce_leak'), State::Watch, Chip::Leaking), ['watch', 'leaking']],
    'seed hose, plugged' => [fn () => found(CheckKey::from('seed_hose'), State::Watch, Chip::Plugged), ['watch', 'plugged']],
    'meter seal, worn' => [fn () => found(CheckKey::from('meter_seal'), State::Watch, Chip::Worn), ['watch', 'worn']],
    'air hose, loose' => [fn () => found(CheckKey::from('air_hose'), State::Watch, Chip::Loose), ['watch', 'loose']],
    'opener bearing, seized' => [fn () => found(CheckKey::from('opener_bearing'), State::Change, Chip::Seized), ['failed', 'seized']],
    'scraper, missing' => [fn () => found(CheckKey::from('scraper'), State::Watch, Chip::Missing), ['watch', 'missing']],
    'guard side, cracked' => [fn () => found(CheckKey::from('guard_sides'), State::Watch, Chip::Cracked), ['watch', 'cracked']],
    'seed tube, any of curl, flap, hole, crack' => [fn () => found(CheckKey::from('seed_tube'), State::Watch, Chip::DogEar), ['watch', 'dog_ear']],
    'gauge tire, lip gone' => [fn () => found(CheckKey::from('gauge_tyre'), State::Watch, Chip::LipGone), ['watch', 'lip_gone']],
    'firmer, too tight' => [fn () => found(CheckKey::from('firmer_tension'), State::Watch, Chip::TooTight), ['watch', 'too_tight']],
    'closing rim, chunk missing' => [fn () => found(CheckKey::from('closing_rim'), State::Watch, Chip::ChunkMissing), ['watch', 'chunk_missing']],
    'the person may say worse' => [fn () => found(CheckKey::from('seed_sensor'), State::Failed, Chip::Dirty), ['failed', 'dirty']],
    'nothing ticked' => [fn () => found(CheckKey::from('opener_blade_edge'), State::Watch), ['watch', 'looked_at']],
    'sound' => [fn () => found(CheckKey::from('opener_blade_edge'), State::Sound), ['sound', 'looked_at']],
]);

it('judges a touch and a yes', function (): void {
    expect(found(CheckKey::from('gauge_touch'), State::Gap))->toBe(['change', 'touch_gap'])
        ->and(found(CheckKey::from('gauge_touch'), State::Light))->toBe(['sound', 'touch_light'])
        ->and(found(CheckKey::from('gauge_touch'), State::Tight))->toBe(['watch', 'touch_tight'])
        ->and(found(CheckKey::from('antifreeze_flushed'), State::No))->toBe(['change', 'not_done'])
        ->and(found(CheckKey::from('meter_cleaned'), State::No))->toBe(['watch', 'not_done'])
        ->and(found(CheckKey::from('lights'), State::Yes))->toBe(['sound', 'done']);
});

it('asks for nothing that is not fitted', function (): void {
    $keys = fn (Equipment $equipment): array => array_keys(sheetFor($equipment)->checks);
    $plain = $keys(Equipment::of(['meter' => 'plate', 'drive' => 'ground', 'downforce' => 'none', 'row_cleaner' => false, 'firmer' => false], RowUnitType::Vacuum));
    expect($plain)->not->toContain('row_cleaner_teeth', 'coulter_diameter', 'fertilizer_boot', 'downforce_pressure', 'downforce_spring_step', 'air_at_meter', 'meter_seal', 'firmer_tip', 'air_fan', 'antifreeze_flushed', 'marker_arms', 'drive_coupling')
        ->toContain('chain_length', 'meter_disc', 'drive_wheel_contact', 'opener_blade_diameter');
    expect($keys(Equipment::of(['meter' => 'vacuum', 'drive' => 'electric'], RowUnitType::Vacuum)))->not->toContain('chain_length', 'drive_wheel_contact')->toContain('drive_coupling', 'air_at_meter');
});

it('has a check at every station, of every kind, and knows each', function (): void {
    $definitions = array_map(Catalogue::shipped()->check(...), CheckKey::cases());
    expect(array_unique(array_column($definitions, 'station'), SORT_REGULAR))->toHaveCount(count(Station::cases()))
        ->and(array_unique(array_column($definitions, 'kind'), SORT_REGULAR))->toHaveCount(count(CheckKind::cases()));
    // The cases of CheckKey stand in the order of the stations.
    $order = array_map(fn (CheckKey $key): int => (int) array_search($key->station(), Station::cases(), true), CheckKey::cases());
    $sorted = $order;
    sort($sorted);
    expect($order)->toBe($sorted);
    foreach ($definitions as $definition) {
        foreach (array_keys($definition->chips) as $chip) {
            expect(Chip::tryFrom($chip))->not->toBeNull();
        }
    }
});

it('asks closing wheels in the order in which they are set: centering, gap, pressure', function (): void {
    $asked = array_values(array_filter(array_keys(sheetFor()->checks), static fn (string $key): bool => str_starts_with($key, 'closing_')));
    expect(array_slice($asked, 0, 3))->toBe(['closing_centring', 'closing_gap', 'closing_pressure']);
});
