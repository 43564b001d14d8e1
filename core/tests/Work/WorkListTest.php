<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Work\JobOrder;
use Ustrel\Core\Work\Piece;
use Ustrel\Core\Work\Schedule\InvalidPlan;
use Ustrel\Core\Work\ToDo;
use Ustrel\Core\Work\WorkList;

function partIn(int $row, Slot $slot, Side $side = Side::Centre): Job
{
    return Job::change(new SlotPlace($row, $slot, $side));
}

/**
 * @param  list<ToDo>  $todos
 * @return array<string, Piece> by key
 */
function piecesOf(array $todos): array
{
    $pieces = WorkList::pieces($todos, JobBook::typical(), JobOrder::typical());

    return array_combine(array_map(static fn (Piece $piece): string => $piece->key, $pieces), $pieces);
}

it('makes one piece of what needs the same things off, and another of what does not', function (): void {
    $pieces = piecesOf([
        new ToDo('blades', [partIn(3, Slot::from('opener_blade'), Side::Left), partIn(3, Slot::from('opener_blade'), Side::Right)], 0, true),
        new ToDo('guard', [partIn(3, Slot::from('seed_tube_guard'))], 900, false),
        new ToDo('tail', [partIn(3, Slot::from('closing_tail_bushing'))], 0, false),
        new ToDo('far', [partIn(4, Slot::from('opener_blade'), Side::Left)], 0, false),
    ]);
    expect(array_keys($pieces))->toBe(['safe', 'change:3:opener_blade:left', 'change:3:closing_tail_bushing:centre', 'change:4:opener_blade:left']);
    $blades = $pieces['change:3:opener_blade:left'];
    // Wheels, scrapers and blades of both sides 34, the guard 5; by themselves 17, 17 and 39. It waits for the guard.
    expect([$blades->minutes, $blades->saved, $blades->from, $blades->blocks, $blades->todos])->toBe([39, 34, 900, true, ['blades', 'guard']])
        ->and($blades->task('7', 100, 5000, $pieces)->after)->toBe(['7 safe'])->and($blades->task('7', 100, 5000, [])->after)->toBe([])
        ->and($pieces['safe']->minutes)->toBe(10)->and($blades->after)->toBe(['safe'])
        ->and($blades->task('7', 100, 5000, $pieces)->holds)->toBe(['7 3 left', '7 3 right'])->and($blades->task('7', 100, 5000, $pieces)->due)->toBe(5000)
        ->and($pieces['change:3:closing_tail_bushing:centre']->task('7', 100, 5000, $pieces)->due)->toBeNull()
        ->and($pieces['change:4:opener_blade:left']->task('7', 100, 5000, $pieces)->holds)->toBe(['7 4 left']);
});

it('puts blades before their contact, tires before the level and meters before the running check', function (): void {
    $at = static fn (Action $action, int $row, CheckKey $check, Side $side = Side::Centre): ToDo => new ToDo($check->value, [Job::at($action, new Place($row, $check, $side))], 0, true);
    $pieces = piecesOf([
        $at(Action::LookAgain, 3, CheckKey::from('blade_contact_length')), $at(Action::Adjust, 0, CheckKey::from('toolbar_pitch')), $at(Action::LookAgain, 0, CheckKey::from('sensors_counting')),
        new ToDo('blade', [partIn(3, Slot::from('opener_blade'), Side::Left)], 0, true), $at(Action::Adjust, 0, CheckKey::from('tyre_pressure')), new ToDo('seal', [partIn(9, Slot::from('meter_seal'))], 0, true),
        $at(Action::LookAgain, 4, CheckKey::from('blade_contact_length')),
    ]);
    expect($pieces['look_again:3:blade_contact_length:centre']->after)->toBe(['safe', 'change:3:opener_blade:left'])
        ->and($pieces['look_again:4:blade_contact_length:centre']->after)->toBe(['safe'])
        ->and($pieces['adjust:0:toolbar_pitch:centre']->after)->toBe(['safe', 'adjust:0:tyre_pressure:centre'])
        ->and($pieces['look_again:0:sensors_counting:centre']->after)->toBe(['safe', 'change:9:meter_seal:centre'])
        // A meter is seen to at the bench.
        ->and($pieces['change:9:meter_seal:centre']->after)->toBe([]);
});

it('adds what a joint that seized took last time once, however many jobs need it open', function (): void {
    $blades = new ToDo('blades', [partIn(3, Slot::from('opener_blade'), Side::Left), partIn(3, Slot::from('opener_blade'), Side::Right)], 0, true);
    $minutes = static fn (array $seized): int => WorkList::pieces([$blades], JobBook::typical(), JobOrder::typical(), $seized)[1]->minutes;
    // Both blades by themselves 34; one joint of 20 for both, then two of 20 and 5.
    expect($minutes([]))->toBe(34)
        ->and($minutes(['change:3:opener_blade:left' => ['one', 20], 'change:3:opener_blade:right' => ['one', 20]]))->toBe(54)
        ->and($minutes(['change:3:opener_blade:left' => ['one', 20], 'change:3:opener_blade:right' => ['other', 5]]))->toBe(59);
});

it('does once what two decisions ask for', function (): void {
    $pieces = piecesOf([new ToDo('a', [partIn(2, Slot::from('gauge_tyre'), Side::Left)], 0, false), new ToDo('b', [partIn(2, Slot::from('gauge_tyre'), Side::Left), partIn(2, Slot::from('gauge_bearing'), Side::Left)], 30, false)]);
    expect($pieces['change:2:gauge_tyre:left']->minutes)->toBe(8 + 2 + 6)->and($pieces['change:2:gauge_tyre:left']->todos)->toBe(['a', 'b'])
        ->and(WorkList::pieces([], JobBook::typical(), JobOrder::typical()))->toBe([]);
});

it('refuses an order that names what there is not', function (array $rules): void {
    expect(static fn (): JobOrder => JobOrder::read($rules))->toThrow(InvalidPlan::class, 'Rule 1');
})->with([
    'a slot' => [[['per' => 'row', 'first' => ['wing_bolt'], 'then' => []]]],
    'a span' => [[['per' => 'side', 'first' => [], 'then' => []]]],
    'no list' => [['blades']],
]);
