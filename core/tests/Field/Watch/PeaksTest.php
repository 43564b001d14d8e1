<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Watch\Drift\Peaks;

/** Peaks that come so often and whose excess is exponential with this mean: what is asked for has to be exceeded as seldom as is wanted. */
it('asks for what is exceeded as seldom as is wanted, whatever the peaks are like', function (float $often, float $mean): void {
    $random = new Randomizer(new Mt19937(3));
    $unit = static fn (): float => ($random->getInt(0, 2 ** 30 - 1) + 0.5) / 2 ** 30;
    $peaks = Peaks::believed();
    for ($block = 0; $block < 400_000; $block++) {
        $peaks->block();
        if ($unit() < $often) {
            $peaks->peak(Peaks::FROM - $mean * log($unit()));
        }
    }
    $wanted = 16.0;
    $isExceeded = $often * exp(-($peaks->ask($wanted) - Peaks::FROM) / $mean);
    expect(log($isExceeded * exp($wanted)))->toEqualWithDelta(0, 0.6);
})->with(['as it was made up' => [exp(-6), 1.0], 'higher and more often' => [0.006, 1.5], 'lower' => [0.001, 0.8]]);

it('believes what was made up before it has seen anything, and half of it as much as it has seen', function (): void {
    $peaks = Peaks::believed();
    expect($peaks->ask(30.0))->toEqualWithDelta(30.0, 1e-6)->and($peaks->ask(2.0))->toBe(Peaks::FROM);
    // Twenty peaks that go twice as far weigh as much as the twenty that are believed: the mean is one and a half.
    for ($peak = 0; $peak < 20; $peak++) {
        for ($block = 0; $block < 403; $block++) {
            $peaks->block();
        }
        $peaks->peak(Peaks::FROM + 2.0);
    }
    expect($peaks->ask(30.0))->toEqualWithDelta(42.0, 0.01);
});

it('does not count what is common, and is less sure the next day', function (): void {
    $peaks = Peaks::believed();
    $before = $peaks->toList();
    $peaks->peak(Peaks::FROM - 0.1);
    expect($peaks->toList())->toBe($before);
    for ($peak = 0; $peak < 480; $peak++) {
        $peaks->peak(Peaks::FROM + 1.0);
    }
    expect($peaks->carriedOver()->toList()[1])->toEqualWithDelta(200, 1e-3)->and(Peaks::of($peaks->carriedOver()->toList())->ask(14.0))->toEqualWithDelta($peaks->ask(14.0), 1e-3);
});

it('makes up for the peaks that became alarms and are not counted', function (): void {
    $random = new Randomizer(new Mt19937(9));
    $peaks = Peaks::believed();
    for ($block = 0; $block < 600_000; $block++) {
        $peaks->block();
        if ($random->getInt(1, 1000) <= 3) {
            $excess = -1.4 * log(($random->getInt(0, 2 ** 30 - 1) + 0.5) / 2 ** 30);
            $excess < 4.0 && $peaks->peak(Peaks::FROM + $excess);
        }
    }
    $isExceeded = 0.003 * exp(-($peaks->ask(10.0) - Peaks::FROM) / 1.4);
    expect(log($isExceeded * exp(10.0)))->toEqualWithDelta(0, 0.5);
});
