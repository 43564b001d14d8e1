<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Cost;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Risk;
use Ustrel\Core\Plan\SharedWork;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/** @param  list<SlotPlace>  $parts */
function toChange(string $place, array $parts, ?float $chance): Proposal
{
    return new Proposal(Place::fromKey($place), Action::Change, Why::PastLimit, null, null, $parts, 0, array_map(Job::change(...), $parts), Cost::of([]), 12.0, $chance === null ? Risk::unknown() : Risk::ofWear($chance, false), null, false);
}

it('counts two findings once where the same parts put them right', function (): void {
    $blades = static fn (int $row): array => [new SlotPlace($row, Slot::from('opener_blade'), Side::Left), new SlotPlace($row, Slot::from('opener_blade'), Side::Right)];
    $one = SharedWork::of([
        toChange('3:opener_blade_diameter:left', $blades(3), 0.6), toChange('6:opener_blade_diameter:left', $blades(6), 0.2), toChange('3:opener_blade_diameter:right', $blades(3), 0.9),
        toChange('5:seed_tube:centre', [new SlotPlace(5, Slot::from('seed_tube'), Side::Centre)], null),
    ]);
    // Row 3 once, at the side that is worse off; four blades for two rows, not eight.
    expect(array_map(static fn (Proposal $of): array => [$of->place->key(), $of->risk->chance, count($of->parts), count($of->jobs)], $one))->toBe([
        ['6:opener_blade_diameter:left', 0.2, 2, 2], ['3:opener_blade_diameter:right', 0.9, 2, 2], ['5:seed_tube:centre', null, 1, 1],
    ]);
});

it('joins what only a third ties together', function (): void {
    [$left, $right] = [new SlotPlace(2, Slot::from('opener_blade'), Side::Left), new SlotPlace(2, Slot::from('opener_blade'), Side::Right)];
    $one = SharedWork::of([toChange('2:opener_blade_diameter:left', [$left], 0.1), toChange('2:opener_blade_diameter:right', [$right], 0.2), toChange('2:blade_contact_length:centre', [$left, $right], 0.3)]);
    expect($one)->toHaveCount(1)->and($one[0]->parts)->toHaveCount(2)->and($one[0]->risk->chance)->toBe(0.3);
});
