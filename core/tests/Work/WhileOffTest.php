<?php

declare(strict_types=1);

use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\SpecSheetReader;
use Ustrel\Core\Work\Schedule\InvalidPlan;
use Ustrel\Core\Work\WhileOff;

beforeEach(function (): void {
    $this->checks = static fn (string $sheet): array => SpecSheetReader::read((array) json_decode((string) file_get_contents(__DIR__."/../../specs/{$sheet}.json"), true))->for(Equipment::typicalOf(RowUnitType::from($sheet)))->checks;
});

it('tells what to look at with the blades off, and what goes back how', function (): void {
    $steps = ['lock', 'gauge_wheel', 'scraper', 'opener_blade'];
    expect(WhileOff::typical()->looks($steps, ($this->checks)('vacuum')))->toBe(['gauge_arm', 'blade_edge', 'guard', 'seed_tube', 'stray_washers', 'dirt_inside'])
        // What came off last goes back first.
        ->and(WhileOff::typical()->back($steps, ($this->checks)('vacuum')))->toBe(['shims_counted', 'stuck_shim', 'contact', 'arm_shims'])
        ->and(WhileOff::typical()->looks(['lock'], ($this->checks)('vacuum')))->toBe([]);
});

it('tells of nothing that the row unit does not have', function (): void {
    $checks = array_diff_key(($this->checks)('vacuum'), ['guard_width' => 1, 'inner_shims' => 1]);
    expect(WhileOff::typical()->looks(['opener_blade'], $checks))->toBe(['seed_tube', 'stray_washers', 'dirt_inside'])
        ->and(WhileOff::typical()->back(['opener_blade'], $checks))->toBe(['contact']);
});

it('says each note once, however many sides come off', function (): void {
    expect(WhileOff::typical()->looks(['meter', 'meter'], []))->toBe(['meter_inside', 'hopper_seed']);
});

it('refuses notes that cannot be read', function (array $file): void {
    WhileOff::read($file);
})->with([
    'no list' => [['meter' => ['look' => 'dust', 'back' => []]]],
    'nothing to put back' => [['meter' => ['look' => []]]],
    'no note' => [['meter' => ['look' => [['with' => 'meter_disc']], 'back' => []]]],
    'a check that is none' => [['meter' => ['look' => [['note' => 'dust', 'with' => 'hatch']], 'back' => []]]],
])->throws(InvalidPlan::class);
