<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\Partners;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheetReader;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\InvalidCatalogue;
use Ustrel\Core\Work\Lubrication;

/** @return list<array{name: string, type: string, rows: int, equipment: array<string, mixed>, checks: array<string, int>}> worked out by hand from the domain; the client is held to the same */
function inventedPlanters(): array
{
    return json_decode((string) file_get_contents(__DIR__.'/planters.json'), true, flags: JSON_THROW_ON_ERROR);
}

/** @param  array<string, mixed>  $given */
function carried(array $given, string $type = 'vacuum'): Equipment
{
    return Equipment::of($given, RowUnitType::from($type));
}

it('checks of each planter what it carries, and nothing else', function (array $planter): void {
    $equipment = carried($planter['equipment'], $planter['type']);
    $sheet = SpecSheetReader::read(typicalSheet(RowUnitType::from($planter['type'])))->for($equipment);
    $places = array_map(static fn (Check $check): int => count($check->sides), $sheet->checks);
    ksort($places);
    expect($places)->toBe($planter['checks'])->and($equipment->contradictions())->toBe([]);
})->with(array_map(static fn (array $planter): array => [$planter], inventedPlanters()));

it('counts a depth as the row unit does, and lets rows differ by what that is set in', function (string $scale, Unit $unit, string $tolerance, int $steps): void {
    $sheet = SpecSheetReader::read(typicalSheet(RowUnitType::Plate));
    $check = $sheet->for(carried(['depth_gauge' => 'shank', 'depth_scale' => $scale], 'plate'))->checks['depth_mark'];
    expect($check->unit)->toBe($unit)->and($check->figures['tolerance']->typed)->toBe($tolerance)->and($check->figures['tolerance']->quantity->steps())->toBe($steps);
    // A tolerance of the shop's own is kept, counted in that unit.
    $own = SpecSheetReader::read(['checks' => ['depth_mark' => ['figures' => ['tolerance' => ['value' => '2', 'source' => 'ours']]]] + typicalSheet(RowUnitType::Plate)['checks']] + typicalSheet(RowUnitType::Plate));
    expect($own->for(carried(['depth_gauge' => 'shank', 'depth_scale' => $scale], 'plate'))->checks['depth_mark']->figures['tolerance']->quantity->steps())->toBe(2000);
})->with([
    ['marks', Unit::Mark, '1', 1000], ['turns', Unit::Turn, '1/2 turn', 500], ['holes', Unit::Hole, '0', 0], ['inches', Unit::ScaleInch, '1/8 in', 125],
]);

it('has parts, access and lubrication only where there is something to change, to take off or to grease', function (): void {
    $plate = carried(inventedPlanters()[0]['equipment'], 'plate');
    $slots = array_column(array_filter(Slot::cases(), static fn (Slot $slot): bool => $slot->isOn($plate)), 'value');
    expect($slots)->toContain('runner', 'press_wheel', 'closing_chain', 'meter_chain')
        ->not->toContain('opener_blade', 'opener_bearing', 'scraper', 'seed_tube_guard', 'gauge_tyre', 'gauge_arm_bushing', 'firmer_tip', 'seed_sensor', 'arms', 'closing_wheel', 'downforce_spring');

    $points = array_map(static fn (Lubrication $point): string => $point->point, Lubrication::read(Lubrication::points(), new RowUnits(1, $plate)));
    expect($points)->toBe(['press_wheel_shaft', 'idlers', 'hitch', 'pins_and_studs']);

    // A guard behind single blades: no gauge wheels and no scrapers come off before the blade.
    $band = carried(['depth_gauge' => 'band', 'depth_scale' => 'inches', 'scrapers' => false]);
    $blade = changing(1, Slot::from('opener_blade'), Side::Left);
    expect(JobBook::typical()->minutesOnRows([$blade]))->toBe(8.0 + 3.0 + 6.0)
        ->and(JobBook::typical()->on(new RowUnits(8, $band))->minutesOnRows([$blade]))->toBe(6.0)
        ->and(JobBook::typical()->on(new RowUnits(8, carried([])))->minutesOnRows([$blade]))->toBe(17.0);
});

it('changes one blade of a single disc, and both of a double one', function (string $type, array $sides): void {
    expect(array_column(Slot::from('opener_blade')->sides(carried([], $type)), 'value'))->toBe($sides);
})->with([['vacuum', ['left', 'right']], ['single_disc_drill', ['centre']]]);

it('names what does not go together', function (array $given, string $code): void {
    $codes = array_column(carried($given)->contradictions(), 'code');
    expect($codes)->toContain($code);
})->with([
    [['opener' => 'runner', 'scrapers' => true], 'scrapers_without_discs'],
    [['opener' => 'single_disc', 'seed_tube_guard' => true], 'guard_without_blades'],
    [['opener' => 'none', 'firmer' => true], 'firmer_without_trench'],
    [['depth_gauge' => 'press_wheel', 'press_wheel' => 'none'], 'depth_by_no_press_wheel'],
    [['depth_gauge' => 'shank', 'depth_scale' => 'notches'], 'notches_without_stop'],
    [['drive' => 'press_wheel', 'press_wheel' => 'tamps'], 'driven_by_no_press_wheel'],
    [['fertilizer' => true, 'fertilizer_knife' => true], 'two_fertilizer_openers'],
    [['fertilizer_both_sides' => true, 'fertilizer' => false, 'fertilizer_knife' => false], 'both_sides_without_opener'],
    [['seed_sensor' => true, 'electronics' => false], 'sensor_without_monitor'],
    [['closing_wheels' => 'none', 'closing_second' => 'chain'], 'second_without_first'],
    [['depth_gauge' => 'band', 'depth_scale' => 'inches', 'opener' => 'hoe'], 'band_without_discs'],
    [['ground_pump' => true, 'liquid' => false], 'pump_without_liquid'],
    [['row_cleaner_floats' => true, 'row_cleaner' => false], 'float_without_cleaner'],
]);

it('lets what nobody spoke of give way to what was said', function (): void {
    $runner = carried(['opener' => 'runner', 'electronics' => false]);
    expect($runner->contradictions())->toBe([])
        ->and([$runner->has('scrapers'), $runner->has('seed_tube_guard'), $runner->has('seed_sensor')])->toBe([false, false, false])
        // Said aloud, it stays and is complained of.
        ->and(carried(['opener' => 'runner', 'scrapers' => true])->has('scrapers'))->toBeTrue();
    foreach (RowUnitType::cases() as $type) {
        expect(Equipment::typicalOf($type)->contradictions())->toBe([]);
    }
});

it('takes a new assembly from data alone', function (): void {
    $files = array_map(static fn (string $name): array => json_decode((string) file_get_contents(__DIR__."/../../units/{$name}.json"), true), json_decode((string) file_get_contents(__DIR__.'/../../units/index.json'), true));
    $bell = ['assemblies' => ['bell' => ['kinds' => [false, true], 'typical' => false]], 'contradictions' => ['bell_without_wheel' => ['if' => ['bell' => true], 'then' => ['press_wheel' => ['tamps', 'drives']]]]];
    $catalogue = Catalogue::read([...$files, $bell]);
    expect(array_keys(array_diff_key($catalogue->assemblies, Catalogue::shipped()->assemblies)))->toBe(['bell']);
});

it('refuses a catalogue that does not hold together, and says where', function (array $file, string $says): void {
    expect(static fn (): Catalogue => Catalogue::read([$file]))->toThrow(InvalidCatalogue::class, $says);
})->with([
    'a check on nothing' => [['checks' => ['seed_tube' => ['station' => 'seed_tube', 'kind' => 'condition', 'with' => ['wings' => true]]]], 'wings'],
    'a kind that there is not' => [['assemblies' => ['a' => ['kinds' => [false, true], 'typical' => 'often']]], 'typical'],
    'a verdict that there is not' => [['checks' => ['seed_tube' => ['station' => 'seed_tube', 'kind' => 'condition', 'chips' => ['worn' => 'bad']]]], 'worn'],
    'a slot without a check' => [['slots' => ['seed_tube' => ['checks' => []]]], 'seed_tube'],
    'a station that there is not' => [['checks' => ['seed_tube' => ['station' => 'cab', 'kind' => 'condition']]], 'cab'],
]);

it('goes from station to station, front to back, in checks and in slots', function (): void {
    $stations = array_flip(array_column(Station::cases(), 'value'));
    foreach ([CheckKey::shipped(), Slot::cases()] as $keys) {
        $passed = array_map(static fn (CheckKey|Slot $key): int => $stations[$key->station()->value], $keys);
        $inOrder = $passed;
        sort($inOrder);
        expect($passed)->toBe($inOrder)->and(count($keys))->toBeGreaterThan(60);
    }
});

it('changes together what wears together, whichever of the two is done', function (): void {
    $partners = static fn (string $slot, Side $side): array => array_map(static fn (SlotPlace $place): string => $place->key(), Partners::of(new SlotPlace(2, Slot::from($slot), $side), carried(['fertilizer' => true, 'drive' => 'ground'])));
    expect($partners('fertilizer_blade', Side::Centre))->toBe(['2:fertilizer_blade:centre', '2:fertilizer_boot:centre'])
        ->and($partners('sprockets', Side::Centre))->toBe(['2:sprockets:centre', '2:meter_chain:centre'])
        ->and($partners('opener_blade', Side::Right))->toBe(['2:opener_blade:right', '2:opener_blade:left'])
        ->and($partners('gauge_tyre', Side::Left))->toBe(['2:gauge_tyre:left']);
    foreach (Slot::cases() as $slot) {
        foreach ($slot->together() as $other) {
            expect($other->together())->toContain($slot);
        }
    }
});

it('composes a unit of a 64-row drill in a moment', function (): void {
    $sheet = SpecSheetReader::read(typicalSheet(RowUnitType::SingleDiscDrill));
    $sheet->for(carried([], 'single_disc_drill'));
    $began = hrtime(true);
    for ($run = 0; $run < 20; $run++) {
        $sheet->for(carried(['air_head' => true, 'delivery' => 'air'], 'single_disc_drill'));
    }
    // 20 ms each are allowed; a busy machine is given ten times that.
    expect((hrtime(true) - $began) / 20 / 1e6)->toBeLessThan(200.0);
});
