<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\InvalidJobBook;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

function changing(int $row, Slot $slot, Side $side = Side::Centre): Job
{
    return Job::change(new SlotPlace($row, $slot, $side));
}

it('counts shared access once for its row and side', function (array $jobs, float $minutes): void {
    expect(JobBook::typical()->minutes($jobs))->toBe($minutes);
})->with([
    // Wheel 8, scraper 3, blade 6, and 10 for the planter.
    'a blade' => [[changing(3, Slot::from('opener_blade'), Side::Left)], 27.0],
    'both blades of a row' => [[changing(3, Slot::from('opener_blade'), Side::Left), changing(3, Slot::from('opener_blade'), Side::Right)], 44.0],
    'a blade, named twice' => [[changing(3, Slot::from('opener_blade'), Side::Left), changing(3, Slot::from('opener_blade'), Side::Left)], 27.0],
    // The guard needs both blades off: 34 and 5; with the blades themselves no more.
    'a guard' => [[changing(3, Slot::from('seed_tube_guard'))], 49.0],
    'a guard and both blades' => [[changing(3, Slot::from('seed_tube_guard')), changing(3, Slot::from('opener_blade'), Side::Left), changing(3, Slot::from('opener_blade'), Side::Right)], 49.0],
    'blades of two rows' => [[changing(3, Slot::from('opener_blade'), Side::Left), changing(4, Slot::from('opener_blade'), Side::Left)], 44.0],
    // The wheel is off for the tire anyway: 8 and 2; the arm bushing 15 more.
    'a tire and its arm bushing' => [[changing(2, Slot::from('gauge_tyre'), Side::Left), changing(2, Slot::from('gauge_arm_bushing'), Side::Left)], 35.0],
    'blade and boot' => [[changing(2, Slot::from('fertilizer_blade')), changing(2, Slot::from('fertilizer_boot'))], 30.0],
    'seal and brush of one meter' => [[changing(2, Slot::from('meter_seal')), changing(2, Slot::from('meter_brush'))], 15.0],
    'shims of a row' => [[Job::at(Action::Adjust, new Place(6, CheckKey::from('inner_shims'), Side::Left))], 33.0],
    'nothing' => [[], 0.0],
]);

it('says what comes off in which order, each thing once', function (): void {
    $steps = array_map(static fn (array $step): string => "{$step[0]->name} {$step[1]->value}", JobBook::typical()->steps([changing(3, Slot::from('seed_tube_guard')), changing(3, Slot::from('opener_blade'), Side::Left), changing(3, Slot::from('meter_seal'))]));
    expect(array_values(array_filter($steps, static fn (string $step): bool => str_ends_with($step, 'left'))))->toBe(['gauge_wheel left', 'scraper left', 'opener_blade left'])
        ->and(array_values(array_filter($steps, static fn (string $step): bool => str_ends_with($step, 'right'))))->toBe(['gauge_wheel right', 'scraper right', 'opener_blade right'])
        ->and($steps[0])->toBe('lock centre')->and($steps)->toContain('meter centre')->toHaveCount(8);
});

it('knows how long it takes to change every part that there is', function (): void {
    foreach (Slot::cases() as $slot) {
        expect(JobBook::typical()->minutesOnRows([changing(1, $slot, $slot->sides()[0])]))->toBeGreaterThan(0.0, $slot->value);
    }
});

it('refuses a book that cannot be worked by, by name', function (array $access, array $jobs, string $names): void {
    expect(static fn (): JobBook => JobBook::read($access, $jobs))->toThrow(InvalidJobBook::class, $names);
})->with([
    'a missing step' => [['a' => ['per' => 'row', 'minutes' => 1, 'needs' => ['b']]], [], '"b"'],
    'a job with a missing step' => [[], ['change' => ['scraper' => ['minutes' => 1, 'needs' => ['wheel']]]], 'change scraper needs the step "wheel"'],
    'a circle' => [['a' => ['per' => 'row', 'minutes' => 1, 'needs' => ['b']], 'b' => ['per' => 'row', 'minutes' => 1, 'needs' => ['a']]], [], 'a, b'],
    'a step that needs itself' => [['a' => ['per' => 'row', 'minutes' => 1, 'needs' => ['a']]], [], ': a'],
    'minutes without end' => [['a' => ['per' => 'row', 'minutes' => 10000, 'needs' => []]], [], 'minutes of a'],
    'minutes under 0' => [[], ['clean' => ['*' => ['minutes' => -1, 'needs' => []]]], 'minutes of clean *'],
    'a span that there is not' => [['a' => ['per' => 'wing', 'minutes' => 1, 'needs' => []]], [], 'a has to say'],
    'no list' => [['a' => 'off'], [], 'a has to say'],
]);
