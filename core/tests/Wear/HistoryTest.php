<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Parts\PartFitting;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\TakenReading;
use Ustrel\Core\Wear\Acres\UseLog;
use Ustrel\Core\Wear\History;
use Ustrel\Core\Wear\Sighting;

$noon = static fn (string $day): Moment => Moment::of("{$day}T12:00:00Z");
$blade = static fn (int $row): Place => new Place($row, CheckKey::from('opener_blade_diameter'), Side::Left);
$contact = static fn (int $row): Place => new Place($row, CheckKey::from('blade_contact_length'), Side::Centre);
$installed = static fn (string $id, int $row, string $from, ?string $until = null, ?string $part = null, ?float $size = 381.0): Installed => new Installed(
    new PartFitting($id, new SlotPlace($row, Slot::from('opener_blade'), Side::Left), $part ?? "part {$id}", $noon($from), $until === null ? null : $noon($until)), $size,
);
$read = static fn (string $id, Place $place, string $at, ?float $value, ?string $walk = null): TakenReading => new TakenReading(
    $id, $walk ?? "walk of {$at}", $noon($walk ?? $at), $place, $noon($at), $value,
);
/** @param  list<Sighting>  $sightings */
$ids = static fn (array $sightings): array => array_map(static fn (Sighting $sighting): string => $sighting->id, $sightings);

it('counts what was read of the part that is there, and nothing of the one before', function () use ($installed, $read, $blade, $ids): void {
    $history = History::of(2, [$installed('new', 1, '2026-03-10'), $installed('old', 1, '2024-03-01', '2026-03-10')], [], [
        $read('c', $blade(1), '2026-03-12', 380.0),
        $read('b', $blade(1), '2026-03-01', 366.0),
        $read('other row', $blade(2), '2026-03-01', 370.0),
    ]);
    $trace = $history->trace($blade(1));
    expect($ids($trace->sightings))->toBe(['c'])
        ->and($trace->start)->toBe(381.0)
        ->and($ids($history->gone($blade(1))))->toBe(['b'])
        ->and($ids($history->trace($blade(2))->sightings))->toBe(['other row'])
        ->and($history->fitting($blade(2)))->toBeNull();
});

it('takes a part’s wear along to the row that it is moved to', function () use ($installed, $read, $blade, $ids): void {
    $history = History::of(2, [
        $installed('f1', 1, '2024-03-01', '2025-03-01', 'piece', 380.0),
        $installed('f2', 2, '2025-03-01', null, 'piece', null),
        $installed('f3', 1, '2025-03-01'),
    ], [], [
        $read('worn on row 1', $blade(1), '2024-09-01', 375.0),
        $read('worn on row 2', $blade(2), '2025-09-01', 370.0),
        $read('of the one before', $blade(2), '2024-09-01', 366.0),
    ]);
    $trace = $history->trace($blade(2));
    expect($ids($trace->sightings))->toBe(['worn on row 1', 'worn on row 2'])
        ->and($trace->start)->toBe(380.0)
        ->and(count($trace->stretches))->toBe(2)
        ->and($ids($history->trace($blade(1))->sightings))->toBe([]);
});

it('lets the last of several readings in one walk hold, unless the part was changed between', function () use ($installed, $read, $blade, $ids): void {
    $parts = [$installed('old', 1, '2024-03-01', '2026-03-02'), $installed('new', 1, '2026-03-02')];
    $history = History::of(1, $parts, [], [
        $read('typed wrongly', $blade(1), '2026-03-01', 36.6, '2026-02-28'),
        $read('as it was', $blade(1), '2026-03-01', 366.0, '2026-02-28'),
        $read('the new one', $blade(1), '2026-03-03', 381.0, '2026-02-28'),
    ]);
    expect($ids($history->sightings($blade(1))))->toHaveCount(2)->toContain('the new one');
    $back = History::of(1, [], [], [
        $read('a', $blade(1), '2026-03-01', 366.0, '2026-02-28'),
        $read('b', $blade(1), '2026-03-02', null, '2026-02-28'),
    ]);
    expect($back->sightings($blade(1)))->toBe([]);
});

it('sets a contact anew with other blades and with every move of shims', function () use ($installed, $read, $contact, $noon, $ids): void {
    $readings = [$read('a', $contact(1), '2026-03-01', 30.0), $read('b', $contact(1), '2026-03-05', 50.0), $read('c', $contact(1), '2026-03-09', 48.0), $read('two', $contact(2), '2026-03-01', 44.0)];
    $moved = new ShimsMoved('m', 1, -2, $noon('2026-03-03'));
    $blades = $installed('new', 1, '2026-03-07');
    expect($ids(History::of(2, [], [$moved], $readings)->trace($contact(1))->sightings))->toBe(['b', 'c'])
        ->and($ids(History::of(2, [$blades], [$moved], $readings)->trace($contact(1))->sightings))->toBe(['c'])
        ->and($ids(History::of(2, [$blades], [$moved], $readings)->gone($contact(1))))->toBe(['a', 'b'])
        ->and($ids(History::of(2, [$blades], [$moved], $readings)->trace($contact(2))->sightings))->toBe(['two']);
});

it('shows a walk only what had been read when it began, of the parts that were on until the next', function () use ($installed, $read, $blade, $noon, $ids): void {
    $history = History::of(1, [$installed('old', 1, '2024-03-01', '2026-03-02'), $installed('new', 1, '2026-03-02')], [], [
        $read('before', $blade(1), '2025-03-01', 372.0),
        $read('its own', $blade(1), '2026-03-01', 366.0, '2026-02-28'),
        $read('of an earlier walk, but later', $blade(1), '2026-03-04', 371.0, '2025-02-28'),
    ]);
    $then = $history->before($noon('2026-02-28'), $noon('2026-03-01'));
    expect($ids($then->trace($blade(1))->sightings))->toBe(['before'])
        ->and($then->fitting($blade(1))?->id)->toBe('old')
        ->and($history->before($noon('2026-02-28'), null)->fitting($blade(1))?->id)->toBe('new');
});

it('learns from moves of shims that were measured before and after, before the next', function () use ($read, $contact, $noon): void {
    $moves = [new ShimsMoved('a', 1, -1, $noon('2026-03-02')), new ShimsMoved('b', 1, -2, $noon('2026-03-04')), new ShimsMoved('c', 1, 1, $noon('2026-03-08'), 60.0), new ShimsMoved('d', 2, -1, $noon('2026-03-02'))];
    $history = History::of(2, [], $moves, [
        $read('1', $contact(1), '2026-03-01', 30.0),
        // None between the first move and the second.
        $read('2', $contact(1), '2026-03-05', 55.0),
        $read('3', $contact(1), '2026-03-09', 48.0),
        $read('after only', $contact(2), '2026-03-05', 40.0),
    ]);
    $measured = array_map(static fn (ShimMove $move): array => [$move->pairs, $move->before, $move->after], ShimMove::measured($moves, $history, UseLog::of([], Length::ofSixteenths(480), 8, new DateTimeZone('UTC'))));
    // What was measured for the move itself goes before what a walk read.
    // Between the readings about the second move the first was made too: it says nothing by itself.
    expect($measured)->toBe([[1, 60.0, 48.0]]);
});

it('does not take the move of another row for the next one, nor an earlier for a later', function () use ($read, $contact, $noon): void {
    $moves = [new ShimsMoved('other', 2, 1, $noon('2026-03-01'), 70.0), new ShimsMoved('a', 1, -1, $noon('2026-03-02')), new ShimsMoved('between', 2, 1, $noon('2026-03-04'), 65.0)];
    $history = History::of(2, [], $moves, [
        $read('1', $contact(1), '2026-03-01', 30.0),
        $read('2', $contact(1), '2026-03-05', 42.0),
        $read('two', $contact(2), '2026-03-06', 60.0),
    ]);
    $measured = array_map(static fn (ShimMove $move): array => [$move->pairs, $move->before, $move->after], ShimMove::measured($moves, $history, UseLog::of([], Length::ofSixteenths(480), 8, new DateTimeZone('UTC'))));
    // The first of row 2 had another before it was measured.
    expect($measured)->toBe([[-1, 30.0, 42.0], [1, 65.0, 60.0]]);
});

it('counts of a slot left empty only what was read since, in the order of time however it came', function () use ($installed, $read, $blade, $ids): void {
    $history = History::of(1, [$installed('old', 1, '2024-03-01', '2025-03-01')], [], [
        $read('a', $blade(1), '2026-03-01', 370.0),
        $read('z', $blade(1), '2025-04-01', 372.0),
        $read('of the old', $blade(1), '2024-06-01', 378.0),
    ]);
    expect($ids($history->trace($blade(1))->sightings))->toBe(['z', 'a'])
        ->and($history->trace($blade(1))->start)->toBeNull()
        ->and($history->trace($blade(1))->ranBefore)->toBe(0.0)
        ->and($history->fitting($blade(1)))->toBeNull();
});

it('holds of several readings in one walk the last, and one before and one after where the part was changed between', function () use ($installed, $read, $blade, $ids): void {
    $readings = [
        $read('first', $blade(1), '2026-03-01', 366.0, '2026-02-28'),
        $read('put right', $blade(1), '2026-03-02', 367.0, '2026-02-28'),
        $read('of the new', $blade(1), '2026-03-05', 381.0, '2026-02-28'),
    ];
    expect($ids(History::of(1, [], [], $readings)->trace($blade(1))->sightings))->toBe(['of the new']);
    $changed = History::of(1, [$installed('new', 1, '2026-03-04'), $installed('old', 1, '2024-03-01', '2026-03-04')], [], $readings);
    expect($ids($changed->trace($blade(1))->sightings))->toBe(['of the new'])
        ->and($ids($changed->gone($blade(1))))->toBe(['put right']);
});

it('takes a walk\'s readings of a check as read to the finest step that any of them shows', function () use ($read, $blade): void {
    $sixteenth = 25.4 / 16;
    $steps = static fn (float ...$inches): array => array_map(static fn (Sighting $sighting): ?float => $sighting->step, History::of(3, [], [], array_map(
        static fn (int $at): TakenReading => $read("r{$at}", $blade($at + 1), '2026-03-01', 25.4 * $inches[$at]), array_keys($inches),
    ))->trace($blade(1))->sightings);
    // 14 1/2 alone was read to the eighth, the coarsest that a rule is read to; beside 14 7/16 it was read to the sixteenth, whichever came first.
    expect($steps(14.5)[0])->toEqualWithDelta(25.4 / 8, 1e-6)
        ->and($steps(14.5, 14.4375)[0])->toEqualWithDelta($sixteenth, 1e-6)
        ->and($steps(14.4375, 14.5)[0])->toEqualWithDelta($sixteenth, 1e-6);
});
