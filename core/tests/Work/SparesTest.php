<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Work\Schedule\InvalidPlan;
use Ustrel\Core\Work\Stops\Breakages;
use Ustrel\Core\Work\Stops\Spares;

it('carries one while a trip costs more than holding it, by the odds', function (): void {
    // Two at a half: none fails a quarter of the time, one half, two a quarter. A trip is 100.
    $of = fn (float $holding): Spares => Spares::of([0.5, 0.5], 0.0, 100.0, $holding);
    // The first saves 0.75 trips, the second 0.25.
    expect($of(10.0)->carry)->toBe(2)->and($of(30.0)->carry)->toBe(1)->and($of(80.0)->carry)->toBe(0)
        ->and($of(30.0)->cost)->toBe(55.0)->and($of(30.0)->enough(0))->toBe(0.25)->and($of(30.0)->enough(1))->toBe(0.75)->and($of(30.0)->enough(-1))->toBe(0.0)
        ->and($of(30.0)->expected())->toBe(1.0)
        ->and(Spares::of([], 0.0, 100.0, 5.0)->carry)->toBe(0);
});

it('adds what breaks at random', function (): void {
    // Poisson of 0.7 by hand: exp(-0.7) is 0.4966, then 0.3476, 0.1217.
    $odds = Spares::of([], 0.7, 100.0, 5.0)->odds;
    expect($odds[0])->toEqualWithDelta(0.496585, 1e-6)->and($odds[1])->toEqualWithDelta(0.347610, 1e-6)->and($odds[2])->toEqualWithDelta(0.121663, 1e-6);
});

it('agrees with counting every way that parts can fail', function (): void {
    $random = new Randomizer(new Mt19937(4));
    for ($case = 0; $case < 200; $case++) {
        $chances = array_map(static fn (): float => $random->getInt(0, 100) / 100, range(1, $random->getInt(1, 8)));
        $mean = $random->getInt(0, 20) / 10;
        [$trip, $holding] = [(float) $random->getInt(0, 300), (float) $random->getInt(1, 100)];
        $spares = Spares::of($chances, $mean, $trip, $holding);
        $costs = [];
        for ($carried = 0; $carried <= 30; $carried++) {
            $trips = 0.0;
            for ($bits = 0; $bits < 1 << count($chances); $bits++) {
                [$odds, $fail] = [1.0, 0];
                foreach ($chances as $at => $chance) {
                    $odds *= ($bits >> $at & 1) === 1 ? $chance : 1 - $chance;
                    $fail += $bits >> $at & 1;
                }
                for ($breaks = 0, $of = exp(-$mean); $odds > 0 && $breaks < 30; $breaks++, $of *= $mean / $breaks) {
                    $trips += $odds * $of * max(0, $fail + $breaks - $carried);
                }
            }
            $costs[] = $trip * $trips + $holding * $carried;
            if ($carried > 2 && $costs[$carried] > $costs[$carried - 1]) {
                break;
            }
        }
        expect($spares->cost)->toEqualWithDelta(min($costs), 1e-4)->and($costs[$spares->carry])->toEqualWithDelta(min($costs), 1e-4);
    }
});

it('refuses what cannot be', function (callable $plan, string $says): void {
    expect($plan)->toThrow(InvalidPlan::class, $says);
})->with([
    'over one' => [fn () => Spares::of([1.2], 0.0, 1.0, 1.0), 'from 0 to 1'],
    'no figure' => [fn () => Spares::of([NAN], 0.0, 1.0, 1.0), 'from 0 to 1'],
    'holding for nothing' => [fn () => Spares::of([0.5], 0.0, 1.0, 0.0), 'holding of over 0'],
    'a trip that pays' => [fn () => Spares::of([0.5], 0.0, -1.0, 1.0), 'a trip of 0 or more'],
]);

it('believes in its own breakages the longer they were written down', function (): void {
    // Typical: 3 in 100 sensors. Of 16 in five seasons 8 broke: between that and 10 in 100.
    expect(Breakages::rate(Slot::from('seed_sensor'), 0, 0.0))->toBe(0.03)->and(Breakages::rate(Slot::from('seed_sensor'), 8, 80.0))->toBe(14 / 280)
        ->and(Breakages::rate(Slot::from('seed_sensor'), 800, 8000.0))->toEqualWithDelta(0.1, 0.002);
    foreach (Slot::cases() as $slot) {
        expect(Breakages::rate($slot, 0, 0.0))->toBeGreaterThan(0.0)->toBeLessThan(0.1);
    }
});
