<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Policy\WearNow;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Stops\DuePart;

$blade = static fn (int $row, Side $side = Side::Left): SlotPlace => new SlotPlace($row, Slot::from('opener_blade'), $side);
$wear = static fn (float $gone, ?float $atEnd, ?float $acres10): WearNow => new WearNow($gone, $atEnd, 0.5, false, $acres10);

it('falls due where nine in ten are past their limit in what is left, by hand', function () use ($blade, $wear): void {
    // 1,000 acres wear half of the allowance: a whole one goes 2,000 on the average, nine in ten of them 1,600.
    expect(DuePart::of($blade(1), $wear(0.8, 1.3, 250.0), false, 1000, 30))->due->toBe(250.0)->life->toBe(1600.0)->price->toBe(30.0)
        ->and(DuePart::of($blade(1), $wear(0.1, 0.6, 1400.0), false, 1000, 30))->toBeNull()
        ->and(DuePart::of($blade(1), $wear(0.1, 0.6, null), false, 1000, 30))->toBeNull()
        // A new one lasts, unless it wears more than four fifths of its allowance in what is left.
        ->and(DuePart::of($blade(1), $wear(0.8, 1.3, 250.0), true, 1000, 30))->toBeNull()
        ->and(DuePart::of($blade(1), $wear(0.2, 2.2, 250.0), true, 1000, 30)?->due)->toBe(400.0)
        // Nobody can tell: no plan, no wear, nothing left to plant.
        ->and(DuePart::of($blade(1), $wear(0.8, null, 250.0), false, 1000, 30))->toBeNull()
        ->and(DuePart::of($blade(1), $wear(0.8, 0.8, 250.0), false, 1000, 30))->toBeNull()
        ->and(DuePart::of($blade(1), $wear(0.8, 1.3, 250.0), false, 0, 30))->toBeNull();
});

it('puts together what falls due within a tenth of what is left', function () use ($blade, $wear): void {
    $due = static fn (SlotPlace $place, float $acres, float $gone = 0.8): DuePart => DuePart::of($place, $wear($gone, $gone + 0.5, $acres), false, 1000, 30) ?? throw new LogicException;
    $parts = [$due($blade(1), 210), $due($blade(1, Side::Right), 290), $due($blade(2), 310), $due(new SlotPlace(3, Slot::from('seed_tube'), Side::Centre), 220)];
    $together = DuePart::together($parts, 1000);
    expect(array_map(count(...), $together))->toBe(['opener_blade 2' => 2, 'opener_blade 3' => 1, 'seed_tube 2' => 1]);

    // By the one that is due first; the price of both.
    expect(DuePart::item('opener_blade 2', $together['opener_blade 2'], 1000, 45))->due->toBe(210.0)->life->toBe(1600.0)->price->toBe(60.0)->work->toBe(45.0)
        // Forty times in what is left at the most, whatever was measured.
        ->and(DuePart::item('all', [DuePart::of($blade(1), $wear(0.0, 100.0, 5.0), false, 1000, 30) ?? throw new LogicException], 1000, 0)->life)->toBe(25.0);
});
