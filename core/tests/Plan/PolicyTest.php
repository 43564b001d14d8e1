<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Policy\ChangeWhen;
use Ustrel\Core\Plan\Policy\InvalidPolicy;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\PolicySimulation;
use Ustrel\Core\Plan\Policy\PolicyTable;
use Ustrel\Core\Plan\Policy\SimulatedRuns;
use Ustrel\Core\Plan\Policy\SlotRule;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\Turn;
use Ustrel\Core\Plan\Policy\TurnOf;
use Ustrel\Core\Plan\Policy\WearItem;
use Ustrel\Core\Plan\Policy\WearKind;
use Ustrel\Core\Plan\Prices;
use Ustrel\Core\Spec\Side;

/** One blade of 12 mm allowance that loses exactly 7 mm a season. */
function oneBlade(?float $price = 40.0, int $seasons = 2, int $services = 0): PolicySimulation
{
    return new PolicySimulation(
        [new WearKind(Slot::from('opener_blade'), 12.0, 0.0, 0.007, 0.0, 0.0, 0.0, $price, [], 0.5)],
        [new WearItem(0, 1, Side::Left, 12.0, 0.0, 0.007, 0.0)],
        // A blade takes 27 minutes: wheel 8, scraper 3, blade 6, and 10 to make the planter safe.
        new Prices(60.0, 50.0, 2.0, [20.0]), JobBook::typical(), 1000.0, 1000.0, $seasons, $services,
    );
}

function totalOf(PolicySimulation $play, Policy $policy): float
{
    return $play->of([$policy], 1, 1)[0]->costs($play->prices)[0];
}

it('comes to what two seasons by hand come to', function (): void {
    $play = oneBlade();
    // Limit: 12, 5; in the second season it stops at 5/7, and the new one ends at 10. Worth 40 + 40 - 33.33, 27 of work, 50 the stop, 2.45 h at 20.
    expect(totalOf($play, Policy::of(Strategy::Limit)))->toEqualWithDelta(46.667 + 27 + 50 + 49, 0.001)
        // Every spring: two changed, the last ends at 5: 40 + 80 - 16.67, twice 27.
        ->and(totalOf($play, Policy::of(Strategy::EverySpring)))->toEqualWithDelta(103.333 + 54, 0.001)
        // Set: 5 would not last, so it goes in the second spring.
        ->and(totalOf($play, Policy::of(Strategy::Set)))->toEqualWithDelta(63.333 + 27, 0.001);

    [$limit, $spring] = $play->of([Policy::of(Strategy::Limit), Policy::of(Strategy::EverySpring)], 3, 1);
    // Lost at planting: 0 and 7/2 mm; thrown away: all of 40 and 5/12 of it.
    expect([$limit->lostWorst, $limit->lostMean, $limit->waste, $limit->used['opener_blade']])->toEqualWithDelta([1.75, 1.75, 0.0, 0.5], 1e-9)
        ->and([$spring->lostWorst, $spring->waste, $spring->used['opener_blade']])->toEqualWithDelta([0.0, (40 + 40 * 5 / 12) / 2, 1.0], 1e-9)
        ->and($limit->stops)->toEqual([1.0, 1.0, 1.0])
        ->and($spring->stops)->toEqual([0.0, 0.0, 0.0]);
});

it('waits for the service stop where the shop does', function (): void {
    // One service half way: in the second season 5 - 3.5 = 1.5 is still over the limit, so it runs on to -2 and nobody stops; then it is seen.
    expect(oneBlade(seasons: 2, services: 1)->of([Policy::of(Strategy::Limit)], 1, 1)[0]->stops)->toEqual([0.0])
        ->and(oneBlade(seasons: 3, services: 1)->of([Policy::of(Strategy::Limit)], 1, 1)[0]->used['opener_blade'])->toEqualWithDelta(1 / 3, 1e-9);
});

it('looks half way through where a rule says so', function (): void {
    // Half gone: 12 - 3.5 = 8.5, 0.29 gone, nothing; second spring 5, 0.58: new; half way 8.5 again.
    $twice = Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.25, looks: 2)]);
    // Half way 0.29 gone: changed in a stop; spring 0.29: changed; half way again: three parts, two stops.
    $played = oneBlade()->of([$twice], 1, 1)[0];
    expect($played->stops)->toEqual([2.0])->and($played->used['opener_blade'])->toEqualWithDelta(1.5, 1e-9);
});

it('says which is cheapest, by how much, and what would turn it', function (): void {
    $table = PolicyTable::of(oneBlade(), [Policy::of(Strategy::Limit), Policy::of(Strategy::EverySpring), Policy::of(Strategy::Set)], 5, 1);
    expect($table->cheapest)->toBe(2)
        ->and($table->lines[2]->cheapest)->toBe(1.0)
        ->and([$table->lines[0]->p10, $table->lines[0]->p50, $table->lines[0]->p90])->toEqualWithDelta([86.333, 86.333, 86.333], 0.001)
        // Every spring is next: 157.33 against 90.33, a season 33.50.
        ->and($table->next)->toBe(1)->and($table->ahead)->toEqualWithDelta(33.5, 0.001);
    $told = array_map(static fn (Turn $turn): array => [$turn->of, round($turn->factor, 2), $turn->line], $table->turns);
    // Limit is 73.67 + 99 k, the set 90.33: k = 0.168. With prices p it is 46.67 p + 126 against 63.33 p + 27: p = 5.94.
    expect($told)->toEqual([[TurnOf::PartPrices, 5.94, 0], [TurnOf::StopCost, 0.17, 0]]);
});

it('finds the share at which it turns', function (): void {
    // At a share of 0.5 the second spring changes what is 0.58 gone; over that it is left, and stops the planter.
    $own = Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.5)]);
    $turns = array_values(array_filter(PolicyTable::of(oneBlade(), [$own, Policy::of(Strategy::EverySpring)], 3, 1)->turns, static fn (Turn $turn): bool => $turn->of === TurnOf::Share));
    expect($turns)->toHaveCount(1)->and($turns[0]->factor)->toEqualWithDelta(7 / 12, 0.03)->and($turns[0]->line)->toBe(1);
});

it('counts what has no price, and never as nothing', function (): void {
    $played = oneBlade(null)->of([Policy::of(Strategy::EverySpring)], 2, 1)[0];
    expect($played->unpriced)->toEqualWithDelta(1.0, 1e-9)->and($played->parts)->toEqual([0.0, 0.0]);
});

it('refuses a policy that is none', function (Closure $make, string $fault): void {
    expect($make)->toThrow(fn (InvalidPolicy $invalid) => expect($invalid->fault)->toBe($fault));
})->with([
    'without a slot' => [static fn () => Policy::own([]), 'no_slot'],
    'a share over all' => [static fn () => new SlotRule(ChangeWhen::ShareGone, 1.01), 'share'],
    'a share of nothing' => [static fn () => new SlotRule(ChangeWhen::ShareGone, 0.0), 'share'],
    'no number' => [static fn () => new SlotRule(ChangeWhen::ShareGone, NAN), 'share'],
    'looks without end' => [static fn () => new SlotRule(ChangeWhen::ShareGone, 0.5, looks: 3), 'looks'],
]);

/** A planter with blades in pairs, guards and coulters, in all states of wear. */
function somePlanter(float $bladePrice = 40.0, float $unsure = 0.1): PolicySimulation
{
    $kinds = [
        new WearKind(Slot::from('opener_blade'), 12.7, 0.8, 12.7 / 800_000, 0.2 * 12.7 / 800_000, $unsure * 12.7 / 800_000, 1.0, $bladePrice, [], 0.5),
        new WearKind(Slot::from('seed_tube_guard'), 9.0, 0.8, 9.0 / 600_000, 0.25 * 9.0 / 600_000, $unsure * 9.0 / 600_000, 1.0, 18.0),
    ];
    $items = [];
    for ($row = 1; $row <= 8; $row++) {
        foreach ([[0, Side::Left], [0, Side::Right], [1, Side::Centre]] as [$of, $side]) {
            $left = (($row * 37 + $of * 11 + ord($side->value[0])) % 90) / 100 + 0.1;
            $items[] = new WearItem($of, $row, $side, $left * $kinds[$of]->allowance, 0.9, $kinds[$of]->rate, 0.15 * $kinds[$of]->rate);
        }
    }

    return new PolicySimulation($kinds, $items, new Prices(55.0, 120.0, 1.5, [30.0, 60.0, 90.0, 120.0]), JobBook::typical(), 430_000.0, 430_000.0, 3);
}

/** The same worked out another way: one part at a time as an object, its own random numbers, no tables. */
function playedPlainly(PolicySimulation $play, string $policy, int $runs): array
{
    mt_srand(4711);
    $normal = static fn (): float => sqrt(-2 * log((mt_rand() + 0.5) / (mt_getrandmax() + 1.0))) * cos(2 * M_PI * (mt_rand() + 0.5) / (mt_getrandmax() + 1.0));
    $positive = static function (float $mean, float $sd) use ($normal): float {
        do {
            $value = $mean + $sd * $normal();
        } while ($value <= 0);

        return $value;
    };
    // 2 blades: 2 x (8 + 3 + 6); with the guard 5 more; the guard alone needs both off.
    $minutes = static fn (bool $blades, bool $guard): float => ($blades || $guard ? 34.0 : 0.0) + ($guard ? 5.0 : 0.0);
    $sum = ['cost' => 0.0, 'stops' => 0.0, 'blades' => 0.0, 'worst' => 0.0];
    for ($run = 0; $run < $runs; $run++) {
        $means = array_map(static fn (WearKind $kind): float => $positive($kind->rate, $kind->rateSd), $play->kinds);
        $new = static fn (int $of): object => (object) ['of' => $of, 'room' => $play->kinds[$of]->allowance + $play->kinds[$of]->newSd * $normal(), 'rate' => $positive($means[$of], $play->kinds[$of]->scatter)];
        $rows = [];
        foreach ($play->items as $item) {
            $rows[$item->row][$item->kind][] = (object) ['of' => $item->kind, 'room' => $item->room + $item->roomSd * $normal(), 'rate' => $positive($item->rate, $item->rateSd)];
        }
        $worth = static function () use (&$rows, $play): float {
            $all = 0.0;
            foreach ($rows as $row) {
                foreach (array_merge(...$row) as $part) {
                    $all += max(0.0, $part->room) / $play->kinds[$part->of]->allowance * $play->kinds[$part->of]->price;
                }
            }

            return $all;
        };
        $cost = $worth();
        $swap = static function (int $row, int $of) use (&$rows, &$cost, &$sum, $play, $new): void {
            foreach ($rows[$row][$of] as $index => $old) {
                $rows[$row][$of][$index] = $new($of);
                $cost += $play->kinds[$of]->price;
                $sum['blades'] += $of === 0 ? 1 : 0;
            }
        };
        for ($season = 0; $season < $play->seasons; $season++) {
            $due = [];
            foreach ($rows as $row => $kinds) {
                foreach ($kinds as $of => $parts) {
                    foreach ($parts as $part) {
                        $gone = 1 - ($part->room + $play->kinds[$of]->measuringSd * $normal()) / $play->kinds[$of]->allowance;
                        $limit = $policy === 'share' && $of === 0 ? 0.4 : 1.0;
                        $due[$row][$of] = ($due[$row][$of] ?? false) || $gone >= $limit;
                        $late[$season][$of][] = $gone + $play->kinds[$of]->rate * $play->use / $play->kinds[$of]->allowance > 1;
                    }
                }
            }
            if ($policy === 'set' && 2 * count(array_filter($late[$season][0])) >= count($late[$season][0])) {
                $due = array_map(static fn (): array => [true, true], $due);
            }
            $late = [];
            $work = 0.0;
            foreach ($due as $row => $of) {
                $work += $minutes($of[0], $of[1]);
                foreach (array_keys(array_filter($of)) as $kind) {
                    $swap($row, $kind);
                }
            }
            $cost += $work > 0 ? ($work + 10) / 60 * $play->prices->hour : 0.0;
            $depths = [];
            foreach ($rows as $kinds) {
                foreach ($kinds[0] as $part) {
                    $depths[] = max(0.0, 12.7 - $part->room) / 2;
                }
            }
            $sum['worst'] += max($depths) / $play->seasons;
            foreach ($rows as $row => $kinds) {
                foreach (array_keys($kinds) as $of) {
                    for ($at = 0.0; ;) {
                        $lasts = min(array_map(static fn (object $part): float => max(0.0, $part->room) / $part->rate, $rows[$row][$of]));
                        $ran = min($lasts, $play->use - $at);
                        foreach ($rows[$row][$of] as $part) {
                            $part->room -= $part->rate * $ran;
                        }
                        $at += $ran;
                        if ($ran < $lasts) {
                            break;
                        }
                        $hours = (10 + $minutes($of === 0, $of === 1)) / 60;
                        $price = $play->prices->standing[min(3, (int) floor($at / $play->use * 4))];
                        $cost += $hours * $play->prices->hour + $play->prices->stop + ($play->prices->stopHours + $hours) * $price;
                        $sum['stops'] += 1 / $play->seasons;
                        $swap($row, $of);
                    }
                }
            }
        }
        $sum['cost'] += ($cost - $worth()) / $play->seasons;
    }
    $sum['blades'] /= $play->seasons;

    return array_map(static fn (float $of): float => $of / $runs, $sum);
}

it('agrees with the same seasons played plainly', function (string $plain, Policy $policy): void {
    $play = somePlanter();
    $played = $play->of([$policy], 2000, 3)[0];
    $other = playedPlainly($play, $plain, 2000);
    $mean = static fn (array $values): float => array_sum($values) / count($values) / $play->seasons;
    expect($mean($played->costs($play->prices)))->toEqualWithDelta($other['cost'], 0.03 * $other['cost'])
        ->and($mean($played->stops))->toEqualWithDelta($other['stops'], 0.06 * $other['stops'] + 0.03)
        ->and($played->used['opener_blade'])->toEqualWithDelta($other['blades'], 0.03 * $other['blades'])
        ->and($played->lostWorst)->toEqualWithDelta($other['worst'], 0.05 * $other['worst']);
})->with([
    'limit' => ['limit', Policy::of(Strategy::Limit)],
    'like new' => ['share', Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.4)])],
    'set with guards' => ['set', Policy::of(Strategy::Set)],
]);

it('never finds a policy cheaper for a dearer part', function (): void {
    foreach ([Strategy::Limit, Strategy::Set, Strategy::EverySpring, Strategy::LikeNew] as $school) {
        $of = static fn (float $price): array => somePlanter($price)->of([Policy::of($school)], 60, 9)[0]->costs(somePlanter()->prices);
        foreach (array_map(null, $of(30.0), $of(45.0)) as [$cheap, $dear]) {
            expect($dear)->toBeGreaterThanOrEqual($cheap);
        }
    }
});

it('tells policies apart more sharply by the same luck than by each its own', function (): void {
    $play = somePlanter();
    $spread = static function (array $one, array $other): float {
        $apart = array_map(static fn (float $a, float $b): float => $a - $b, $one, $other);
        $mean = array_sum($apart) / count($apart);

        return array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $apart));
    };
    [$limit, $share] = array_map(static fn (SimulatedRuns $played): array => $played->costs($play->prices), $play->of([Policy::of(Strategy::Limit), Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.8)])], 300, 5));
    $apart = $play->of([Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.8)])], 300, 6)[0]->costs($play->prices);
    expect($spread($limit, $share))->toBeLessThan(0.8 * $spread($limit, $apart));
});

it('says the same for the same seed', function (): void {
    $of = static fn (int $seed): array => somePlanter()->of([Policy::of(Strategy::Limit)], 20, $seed)[0]->costs(somePlanter()->prices);
    expect($of(8))->toBe($of(8))->and($of(8))->not->toBe($of(9));
});
