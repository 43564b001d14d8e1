<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Fitted;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\Ledger;
use Ustrel\Core\Parts\LedgerFaultCode;
use Ustrel\Core\Parts\PartFitting;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Removed;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

function bladeOn(int $row): SlotPlace
{
    return new SlotPlace($row, Slot::from('opener_blade'), Side::Left);
}

function fit(string $id, int $row, string $day, ?string $part = null, RemovalReason $old = RemovalReason::Worn): Fitted
{
    return new Fitted($id, bladeOn($row), $part ?? "part of {$id}", Moment::of("{$day}T12:00:00Z"), $old);
}

function takeOut(string $id, string $fitting, string $day): Removed
{
    return new Removed($id, $fitting, Moment::of("{$day}T12:00:00Z"), RemovalReason::Failed);
}

/** @return array<string, string> what was fitted when, and how it ended, by fitting */
function told(array $events): array
{
    return array_map(static fn (PartFitting $fitting): string => implode(' ', array_filter([
        "row {$fitting->place->row}", substr($fitting->from->toIso(), 0, 10), $fitting->until === null ? 'on' : substr($fitting->until->toIso(), 0, 10), $fitting->reason?->value,
    ])), Ledger::play($events));
}

it('plays back what was fitted, changed, moved and taken out', function (): void {
    expect(told([
        fit('a', 1, '2023-04-01'),
        fit('b', 1, '2024-04-01'),
        fit('c', 2, '2023-04-01'),
        // The blade of row 2 goes to row 1, whose own comes out.
        fit('d', 1, '2025-04-01', 'part of c', RemovalReason::WithTheSet),
        takeOut('e', 'd', '2026-03-01'),
        fit('f', 2, '2026-03-02'),
    ]))->toBe([
        'a' => 'row 1 2023-04-01 2024-04-01 worn',
        'c' => 'row 2 2023-04-01 2025-04-01 moved',
        'b' => 'row 1 2024-04-01 2025-04-01 with_the_set',
        'd' => 'row 1 2025-04-01 2026-03-01 failed',
        'f' => 'row 2 2026-03-02 on',
    ]);
});

it('takes out before it puts in where both were at one time, whatever their ids', function (): void {
    expect(told([fit('m', 1, '2024-04-01'), takeOut('z', 'm', '2025-04-01'), fit('a', 1, '2025-04-01')]))->toBe([
        'm' => 'row 1 2024-04-01 2025-04-01 failed',
        'a' => 'row 1 2025-04-01 on',
    ]);
});

it('swaps two parts at one time', function (): void {
    expect(told([
        fit('a', 1, '2023-04-01'), fit('b', 2, '2023-04-01'),
        fit('c', 2, '2024-04-01', 'part of a', RemovalReason::Moved), fit('d', 1, '2024-04-01', 'part of b', RemovalReason::Moved),
    ]))->toBe([
        'a' => 'row 1 2023-04-01 2024-04-01 moved', 'b' => 'row 2 2023-04-01 2024-04-01 moved', 'c' => 'row 2 2024-04-01 on', 'd' => 'row 1 2024-04-01 on',
    ]);
});

it('comes to the same whatever order the events come in', function (): void {
    mt_srand(3);
    $events = [];
    for ($row = 1; $row <= 6; $row++) {
        foreach ([2022, 2023, 2024, 2025] as $year) {
            $events[] = fit("{$row}-{$year}", $row, sprintf('%d-0%d-1%d', $year, mt_rand(1, 4), $row));
        }
    }
    $events[] = fit('moved', 3, '2026-01-05', 'part of 5-2025');
    $events[] = takeOut('out', '2-2025', '2026-02-01');
    $expected = told($events);
    for ($round = 0; $round < 50; $round++) {
        usort($events, static fn (): int => mt_rand(-1, 1));
        expect(told($events))->toBe($expected);
    }
});

it('knows at any moment what is where, as a rack with labels on its hooks would', function (): void {
    mt_srand(29);
    for ($round = 0; $round < 40; $round++) {
        $events = $rack = $states = [];
        for ($day = 1; $day <= 60; $day++) {
            $at = (new DateTimeImmutable('2025-01-01'))->modify("+{$day} days")->format('Y-m-d');
            $row = mt_rand(1, 5);
            $taken = $rack === [] ? null : array_rand($rack);
            if ($taken !== null && mt_rand(0, 5) === 0) {
                // By its fitting, which names the piece too.
                $events[] = takeOut("out {$day}", $rack[$taken][0], $at);
                unset($rack[$taken]);
            } else {
                $part = $taken !== null && mt_rand(0, 2) === 0 ? $rack[$taken][1] : "part {$day}";
                $rack = array_filter($rack, static fn (array $hung): bool => $hung[1] !== $part);
                $rack[$row] = ["fit {$day}", $part];
                $events[] = fit("fit {$day}", $row, $at, $part);
            }
            $states["{$at}T18:00:00Z"] = array_map(static fn (array $hung): string => $hung[1], $rack);
        }
        shuffle($events);
        $fittings = Ledger::play($events);
        foreach ($states as $moment => $expected) {
            $found = [];
            foreach ($fittings as $fitting) {
                if ($fitting->stretch()->holds(Moment::of($moment))) {
                    expect($found)->not->toHaveKey($fitting->place->row);
                    $found[$fitting->place->row] = $fitting->part;
                }
            }
            ksort($found);
            ksort($expected);
            expect($found)->toBe($expected);
        }
    }
});

it('refuses what cannot be true, by name', function (array $events, LedgerFaultCode $fault, string $event): void {
    expect(fn () => Ledger::play($events))->toThrow(
        fn (ImpossibleLedger $impossible) => expect([$impossible->fault, $impossible->event])->toBe([$fault, $event]),
    );
})->with([
    'taken out before it was fitted' => [fn () => [fit('a', 1, '2024-04-01'), takeOut('x', 'a', '2024-03-01')], LedgerFaultCode::RemovedBeforeFitted, 'x'],
    'never fitted' => [fn () => [fit('a', 1, '2024-04-01'), takeOut('x', 'b', '2024-05-01')], LedgerFaultCode::NothingFitted, 'x'],
    'out after another went in' => [fn () => [fit('a', 1, '2023-04-01'), fit('b', 1, '2024-04-01'), takeOut('x', 'a', '2025-01-01')], LedgerFaultCode::Overlap, 'x'],
    'out twice' => [fn () => [fit('a', 1, '2023-04-01'), takeOut('x', 'a', '2024-01-01'), takeOut('y', 'a', '2025-01-01')], LedgerFaultCode::Overlap, 'y'],
    'two at once in a slot' => [fn () => [fit('a', 1, '2023-04-01'), fit('b', 1, '2023-04-01')], LedgerFaultCode::Overlap, 'b'],
    'one at once in two slots' => [fn () => [fit('a', 1, '2023-04-01', 'p'), fit('b', 2, '2023-04-01', 'p')], LedgerFaultCode::TwoPlaces, 'b'],
]);

it('knows of every slot which checks look at its part, each check of one slot only', function (): void {
    $seen = [];
    foreach (Slot::cases() as $slot) {
        foreach ($slot->checks() as $check) {
            expect($seen)->not->toHaveKey($check->value);
            expect(Slot::of($check))->toBe($slot)->and($check->station())->toBe($slot->station());
            $seen[$check->value] = true;
        }
    }
    expect(Slot::of(CheckKey::from('blade_contact_length')))->toBeNull()
        ->and(Slot::from('opener_blade')->sides())->toBe([Side::Left, Side::Right])
        ->and(Slot::from('opener_blade')->remeasured())->toBe([CheckKey::from('blade_contact_length'), CheckKey::from('gauge_touch'), CheckKey::from('scraper'), CheckKey::from('depth_stop_notch')]);
});
