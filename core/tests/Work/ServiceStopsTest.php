<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Work\Schedule\InvalidPlan;
use Ustrel\Core\Work\Stops\ServiceStop;
use Ustrel\Core\Work\Stops\ServiceStops;
use Ustrel\Core\Work\Stops\StopItem;

it('comes to two sets of blades a season where the ground demands it', function (): void {
    // 1,000 acres to go; blades last 450 and are half gone; each stop costs 200, a set of blades 600 and 100 of work.
    $blades = new StopItem('blades', 225.0, 450.0, 600.0, 100.0);
    $plan = ServiceStops::of([$blades], 1000.0, 200.0);
    // At 225 and 675 acres; the third set, at 1,125, is past the end. Nothing is thrown away.
    expect($plan->stops)->toEqual([new ServiceStop(225.0, ['blades']), new ServiceStop(675.0, ['blades'])])->and($plan->cost)->toBe(600.0)->and($plan->isBest)->toBeTrue();
});

it('changes together what is due soon after, where that costs less than another stop', function (): void {
    $items = [new StopItem('blades', 400.0, 900.0, 600.0, 100.0), new StopItem('scrapers', 500.0, 800.0, 80.0, 20.0), new StopItem('tails', 700.0, 2000.0, 900.0, 60.0)];
    // Scrapers at 400: 100 of 800 acres of an 80 thrown away is 10, a stop is 150. Tails: 300 of 2,000 of 900 is 135, a stop is 150.
    $plan = ServiceStops::of($items, 1000.0, 150.0);
    expect($plan->stops)->toEqual([new ServiceStop(400.0, ['blades', 'scrapers', 'tails'])])->and($plan->cost)->toEqualWithDelta(150 + 180 + 10 + 135, 1e-9);
    // A stop of 130: the tails get their own.
    expect(ServiceStops::of($items, 1000.0, 130.0)->stops)->toEqual([new ServiceStop(400.0, ['blades', 'scrapers']), new ServiceStop(700.0, ['tails'])])
        ->and(ServiceStops::of($items, 300.0, 130.0)->stops)->toBe([])->and(ServiceStops::of([], 300.0, 130.0)->cost)->toBe(0.0);
});

it('refuses what cannot be', function (callable $plan, string $says): void {
    expect($plan)->toThrow(InvalidPlan::class, $says);
})->with([
    'no life' => [fn () => new StopItem('a', 10.0, 0.0, 1.0, 1.0), 'a life of over 0'],
    'past due' => [fn () => new StopItem('a', -1.0, 10.0, 1.0, 1.0), 'left of 0 or more'],
    'over and over' => [fn () => ServiceStops::of([new StopItem('a', 1.0, 1.0, 1.0, 1.0)], 1000.0, 1.0), 'more than fifty times'],
    'a stop that pays' => [fn () => ServiceStops::of([], 10.0, -1.0), 'a cost of 0 or more'],
]);

/**
 * The least there is, by stopping or not at each hundredth of the season's acres and changing any items then. Dues and lives
 * are whole hundredths.
 *
 * @param  list<StopItem>  $items
 */
function leastByTrying(array $items, int $acres, float $stop): float
{
    $memo = [];
    $from = function (int $at, array $due) use (&$from, &$memo, $items, $acres, $stop): float {
        if ($at >= $acres) {
            return 0.0;
        }
        $key = "{$at}|".implode(',', $due);
        if (isset($memo[$key])) {
            return $memo[$key];
        }
        $least = in_array($at, $due, true) ? INF : $from($at + 1, $due);
        for ($bits = 1; $bits < 1 << count($items); $bits++) {
            [$cost, $then] = [$stop, $due];
            foreach ($items as $index => $item) {
                if (($bits >> $index & 1) === 1) {
                    $cost += $item->work + $item->price * ($due[$index] - $at) / $item->life;
                    $then[$index] = $at + (int) $item->life;
                }
            }
            // What is due now and is not changed has stopped the planter.
            $least = in_array($at, $then, true) ? $least : min($least, $cost + $from($at + 1, $then));
        }

        return $memo[$key] = $least;
    };

    return $from(0, array_map(static fn (StopItem $item): int => (int) $item->due, $items));
}

it('finds the least there is, what was changed falling due again', function (): void {
    $random = new Randomizer(new Mt19937(21));
    for ($case = 0; $case < 200; $case++) {
        $items = [];
        for ($at = 0, $count = $random->getInt(1, $case % 4 === 0 ? 4 : 3); $at < $count; $at++) {
            $life = $random->getInt(2, 12);
            $items[] = new StopItem("i{$at}", (float) $random->getInt(1, $life), (float) $life, (float) $random->getInt(0, 90), (float) $random->getInt(0, 20));
        }
        $stop = (float) $random->getInt(0, 60);
        $plan = ServiceStops::of($items, 14.0, $stop);
        expect($plan->cost)->toEqualWithDelta(leastByTrying($items, 14, $stop), 1e-6, "case {$case}")->and($plan->isBest)->toBeTrue();
    }
});

it('settles ten items, and says of forty how far it can be off', function (): void {
    $random = new Randomizer(new Mt19937(9));
    $items = fn (int $count): array => array_map(static function (int $at) use ($random): StopItem {
        $life = $random->getInt(400, 3000);

        return new StopItem("i{$at}", (float) $random->getInt(20, $life), (float) $life, (float) $random->getInt(20, 900), (float) $random->getInt(5, 200));
    }, range(1, $count));
    for ($case = 0; $case < 10; $case++) {
        expect(ServiceStops::of($items(10), 1200.0, 260.0)->isBest)->toBeTrue();
    }
    $plan = ServiceStops::of($items(40), 1200.0, 260.0);
    expect($plan->atLeast)->toBeGreaterThan(0)->toBeLessThanOrEqual($plan->cost);
    // Each is changed before it is due, at every stop.
    foreach ($plan->stops as $at => $stop) {
        expect($stop->items)->not->toBe([])->and($stop->acres)->toBeLessThan(1200.0)->toBeGreaterThan($plan->stops[$at - 1]->acres ?? 0.0);
    }
});
