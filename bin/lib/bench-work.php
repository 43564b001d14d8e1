<?php

declare(strict_types=1);

// What a plan of work and a rain list cost: part of bin/bench.

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\JobOrder;
use Ustrel\Core\Work\Piece;
use Ustrel\Core\Work\Schedule\Scheduler;
use Ustrel\Core\Work\Schedule\WorkHours;
use Ustrel\Core\Work\Stops\RainJob;
use Ustrel\Core\Work\Stops\RainList;
use Ustrel\Core\Work\ToDo;
use Ustrel\Core\Work\WorkList;

/** @return float seconds for a plan of 48 rows on which every part is changed, with three people, the parts of one slot in four to come */
function workPlan(): float
{
    $equipment = Equipment::of(['drive' => 'ground', 'coulter' => true, 'fertilizer' => true, 'fertilizer_both_sides' => true], RowUnitType::Vacuum);
    $random = new Randomizer(new Mt19937(1));
    $todos = [];
    for ($row = 1; $row <= 48; $row++) {
        foreach (Slot::cases() as $slot) {
            foreach ($slot->isOn($equipment) ? $slot->sides($equipment) : [] as $side) {
                $todos[] = new ToDo("{$row} {$slot->value} {$side->value}", [Job::change(new SlotPlace($row, $slot, $side))], $random->getInt(0, 3) === 0 ? 1440 * $random->getInt(1, 9) + 720 : 0, $random->getInt(0, 1) === 0);
            }
        }
    }
    $hours = array_map(static fn (float $a): WorkHours => WorkHours::of(Day::of('2026-12-07'), array_fill(1, 6, $a)), [8.0, 8.0, 5.0]);
    $start = hrtime(true);
    $pieces = WorkList::pieces($todos, JobBook::typical(), JobOrder::typical());
    $keys = array_flip(array_map(static fn (Piece $piece): string => $piece->key, $pieces));
    Scheduler::plan(array_map(static fn (Piece $piece): Ustrel\Core\Work\Schedule\Task => $piece->task('1', 480, 30 * 1440, $keys), $pieces), $hours);

    return (hrtime(true) - $start) / 1e9;
}

/** @return float seconds for so many jobs on as many rows as there are sides, three hours and two people; the slowest of ten */
function rainList(int $count): float
{
    $random = new Randomizer(new Mt19937(2));
    $slowest = 0.0;
    for ($case = 0; $case < 10; $case++) {
        $jobs = [];
        for ($at = 0; $at < $count; $at++) {
            $row = $random->getInt(1, 12);
            $side = Side::cases()[$random->getInt(0, 2)];
            $off = [];
            foreach ($side === Side::Centre ? [Side::Left, Side::Right] : [$side] as $of) {
                $off += array_slice(["wheel {$row} {$of->value}" => 8, "scraper {$row} {$of->value}" => 3, "blade {$row} {$of->value}" => 6], 0, $random->getInt(0, 3));
            }
            $jobs[] = new RainJob("{$at}", $row, $side, $random->getInt(2, 30), $off, $random->getInt(100, 30000) / 100);
        }
        $start = hrtime(true);
        RainList::of($jobs, 180, 2);
        $slowest = max($slowest, (hrtime(true) - $start) / 1e9);
    }

    return $slowest;
}
