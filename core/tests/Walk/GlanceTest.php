<?php

declare(strict_types=1);

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Glance;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\ShippedPack;
use Ustrel\Core\Walk\WalkOrder;
use Ustrel\Core\Wear\Standing;

/** @return array<string, list<string|null>> what stands in each cell, by station: the key of a place */
function glance(array $verdicts, array $scope): array
{
    $sheet = sheetFor()->only(['opener_blade_diameter', 'opener_bearing', 'blade_contact_length', 'lights']);
    $places = Route::through($sheet, 3, WalkOrder::RowByRow)->places;
    $cells = Glance::ofVerdicts($sheet, $sheet->only($scope), $places, 3, array_map(Verdict::from(...), $verdicts));

    return array_map(fn (array $row): array => array_map(fn (?int $at): ?string => $at === null ? null : $places[$at]->key(), $row), $cells);
}

it('shows of each station the worst place: failed before change before watch before what is missing before sound', function (): void {
    $verdicts = [
        '1:opener_blade_diameter:left' => 'sound', '1:opener_blade_diameter:right' => 'watch', '1:opener_bearing:left' => 'failed', '1:opener_bearing:right' => 'change',
        '2:opener_blade_diameter:left' => 'sound', '2:opener_blade_diameter:right' => 'sound', '2:opener_bearing:left' => 'sound',
        '3:opener_blade_diameter:left' => 'watch', '3:opener_bearing:left' => 'unchecked',
        '1:blade_contact_length:centre' => 'sound',
        '0:lights:centre' => 'failed',
    ];
    expect(glance($verdicts, ['opener_blade_diameter', 'opener_bearing', 'blade_contact_length']))->toBe([
        'opener_blades' => ['1:opener_bearing:left', '2:opener_bearing:right', '3:opener_blade_diameter:left'],
        'blade_contact' => ['1:blade_contact_length:centre', '2:blade_contact_length:centre', '3:blade_contact_length:centre'],
    ])
        // What is not walked today is not missed, but what has to be looked at again is.
        ->and(glance($verdicts, ['opener_blade_diameter'])['opener_blades'])->toBe(['1:opener_bearing:left', '2:opener_blade_diameter:left', '3:opener_blade_diameter:left'])
        ->and(glance(['1:opener_bearing:left' => 'unchecked', '1:opener_bearing:right' => 'sound'], [])['opener_blades'][0])->toBe('1:opener_bearing:left')
        ->and(glance([], [])['opener_blades'])->toBe(['1:opener_blade_diameter:left', '2:opener_blade_diameter:left', '3:opener_blade_diameter:left']);
});

it('shows of each station what lasts the shortest, and nothing where nothing wears', function (): void {
    $sheet = sheetFor()->only(['opener_blade_diameter', 'guard_width', 'opener_bearing']);
    $places = array_map(Place::fromKey(...), ['1:opener_blade_diameter:left', '1:opener_blade_diameter:right', '2:opener_blade_diameter:left', '2:opener_blade_diameter:right', '2:guard_width:centre']);
    $standings = [Standing::Lasts, Standing::Nominal, Standing::MayNotLast, Standing::MayNotLast, Standing::AtLimit];
    expect(Glance::ofStandings($sheet, $places, 2, $standings, [0.1, null, 0.3, 0.4, null]))
        ->toBe(['opener_blades' => [0, 3], 'seed_tube_guard' => [null, 4]]);
});

it('expects of a row what its parts stand at', function (): void {
    expect(array_map(fn (Standing $standing): string => $standing->expects()->value, Standing::cases()))
        ->toBe(['change', 'watch', 'watch', 'sound', 'sound', 'unchecked']);
});

it('ships packs of checks that are in the catalogue, in its order', function (): void {
    $packs = ShippedPack::all();
    expect(array_column($packs, 'key'))->toBe(['yearly', 'blades_and_contact', 'rain_day', 'two_tools', 'garden', 'plate', 'drill', 'beet'])
        ->and($packs[0]->checks)->toBeNull();
    foreach (array_slice($packs, 1) as $pack) {
        $order = array_map(fn (CheckKey $key): int => array_search($key, CheckKey::cases(), true), $pack->checks);
        $sorted = $order;
        sort($sorted);
        expect($order)->toBe($sorted)->and(count(array_unique($order)))->toBe(count($order));
    }
});
