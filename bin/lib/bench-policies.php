<?php

declare(strict_types=1);

// What a policy table costs: part of bin/bench.

use App\Models\SpecSheet;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Policy\ChangeWhen;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\PolicySimulation;
use Ustrel\Core\Plan\Policy\PolicyTable;
use Ustrel\Core\Plan\Policy\Scope;
use Ustrel\Core\Plan\Policy\SlotRule;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\WearItem;
use Ustrel\Core\Plan\Policy\WearKind;
use Ustrel\Core\Plan\Prices;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Wear\PlanterWear;

/** @return array{float, float} seconds for five policies on 24 rows, all slots that wear, 5 seasons, 400 runs, with what would turn it; and the megabytes */
function policyTable(): array
{
    $sheet = SpecSheet::query()->whereNull('workshop_id')->where('type', 'vacuum')->firstOrFail()->read()
        ->for(Equipment::of(['drive' => 'ground', 'coulter' => true, 'fertilizer' => true, 'fertilizer_both_sides' => true], RowUnitType::Vacuum));
    $kinds = $items = [];
    foreach (PlanterWear::checks($sheet) as $check) {
        $slot = Slot::of($check->key);
        $path = $check->wear();
        if ($slot === null || $path === null || $slot->checks()[0] !== $check->key) {
            continue;
        }
        $rate = $path->nominalRate();
        $kinds[] = new WearKind($slot, $path->allowance, 0.06 * $path->allowance, $rate, 0.2 * $rate, 0.1 * $rate, 0.08 * $path->allowance, 40.0, [], $slot === Slot::from('opener_blade') ? 0.5 : 0.0);
        for ($row = 1; $row <= 24; $row++) {
            foreach ($check->sides as $side) {
                $left = 0.15 + (($row * 7 + count($items)) % 17) / 20;
                $items[] = new WearItem(count($kinds) - 1, $row, $side, $left * $path->allowance, 0.07 * $path->allowance, $rate, 0.12 * $rate, -0.3, 0.08 * $rate);
            }
        }
    }
    $play = new PolicySimulation($kinds, $items, new Prices(58.0, 140.0, 1.5, [60.0, 80.0, 120.0, 160.0]), JobBook::typical(), 160_000.0, 160_000.0, 5);
    $policies = [...array_map(Policy::of(...), [Strategy::Limit, Strategy::Set, Strategy::EverySpring, Strategy::LikeNew]), Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.7, Scope::Set, [Slot::from('seed_tube_guard')])])];
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $times = [];
    for ($round = 0; $round < 3; $round++) {
        $start = hrtime(true);
        PolicyTable::of($play, $policies, 400, $round);
        $times[] = (hrtime(true) - $start) / 1e9;
    }

    return [median($times), (memory_get_peak_usage() - $before) / 2 ** 20];
}
