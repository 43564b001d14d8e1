<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Work\Piece;
use Ustrel\Core\Work\Schedule\ChainLink;
use Ustrel\Core\Work\Schedule\InvalidPlan;
use Ustrel\Core\Work\Schedule\LinkCause;
use Ustrel\Core\Work\Schedule\Placed;
use Ustrel\Core\Work\Schedule\Schedule;
use Ustrel\Core\Work\Schedule\Scheduler;
use Ustrel\Core\Work\Schedule\Task;
use Ustrel\Core\Work\Schedule\WorkHours;

/** Monday 7 December 2026. @param  array<int, float>  $hours */
function working(array $hours): WorkHours
{
    return WorkHours::of(Day::of('2026-12-07'), $hours);
}

/** Every day of the week the same. */
function daily(float $hours): WorkHours
{
    return working(array_fill(1, 7, $hours));
}

/** @return string as "1 08:30": the day from 1 on, and the time */
function clock(int $instant): string
{
    return sprintf('%d %02d:%02d', intdiv($instant, 1440) + 1, intdiv($instant % 1440, 60), $instant % 60);
}

it('counts only the hours that somebody has', function (): void {
    // Four hours on Monday, none on Tuesday, two on Wednesday.
    $hours = working([1 => 4.0, 3 => 2.0]);
    expect(clock($hours->next(0)))->toBe('1 08:00')
        ->and(clock($hours->finish($hours->next(0), 240)))->toBe('1 12:00')
        ->and(clock($hours->next(12 * 60)))->toBe('3 08:00')
        ->and(clock($hours->finish(11 * 60, 90)))->toBe('3 08:30')
        // Six hours a week: the seventh is worked on the next Monday.
        ->and(clock($hours->finish(480, 420)))->toBe('8 09:00')
        ->and(clock($hours->latestStart(2 * 1440 + 510, 90) ?? 0))->toBe('1 11:00')
        ->and($hours->latestStart(600, 180))->toBeNull()
        // A day of twenty hours has to begin at four.
        ->and(clock(daily(20)->next(0)))->toBe('1 04:00');
});

it('says what settles the end, and how much room the rest has', function (): void {
    // Two people, eight hours a day. The tire comes on Wednesday; levelling waits for it.
    $schedule = Scheduler::plan([
        new Task('blades', 120, holds: ['3 left']),
        new Task('tire', 60, from: 2 * 1440 + 480, holds: ['5 left']),
        new Task('level', 30, after: ['tire'], due: 4 * 1440),
        new Task('closing', 45, holds: ['3 left']),
    ], [daily(8), daily(8)]);
    expect(array_map(fn (Placed $of): string => clock($of->start), $schedule->placed))->toBe(['closing' => '1 08:00', 'blades' => '1 08:45', 'tire' => '3 08:00', 'level' => '3 09:00'])
        ->and(clock($schedule->end))->toBe('3 09:30')->and($schedule->isBest)->toBeTrue()
        ->and($schedule->late)->toBe(3 * 1440 - 1440 + 570 - 4 * 1440)
        ->and($schedule->chain)->toEqual([new ChainLink('tire', LinkCause::Arrival), new ChainLink('level', LinkCause::After)])
        // Level: until the end of Thursday six and a half hours and eight more.
        ->and($schedule->slack['level'])->toBe(6 * 60 + 30 + 480)->and($schedule->slack['tire'])->toBe(6 * 60 + 30 + 480)
        ->and(clock($schedule->latest['level']))->toBe('4 15:30')->and(clock($schedule->latest['tire']))->toBe('4 14:30')
        ->and($schedule->broken)->toBe([]);
});

it('lets one that others hang on begin no later than they can', function (): void {
    // Nothing waits for the second but the end of the day on which the first is due, at four; so the first has to be done by half past three.
    $schedule = Scheduler::plan([new Task('a', 60, due: 960), new Task('b', 30, after: ['a'])], [daily(8)]);
    expect($schedule->slack)->toBe(['b' => 390, 'a' => 390])->and(array_map(clock(...), $schedule->latest))->toBe(['b' => '1 15:30', 'a' => '1 14:30']);
});

it('holds what was fixed by hand, and says where that does not go', function (): void {
    $tasks = fn (int $at): array => [new Task('a', 60, heldAt: $at, heldBy: 0), new Task('b', 120), new Task('c', 30, after: ['b'], heldAt: 540, heldBy: 1)];
    $schedule = Scheduler::plan($tasks(600), [daily(8), daily(1)]);
    expect(clock($schedule->placed['a']->start))->toBe('1 10:00')->and($schedule->placed['a']->person)->toBe(0)
        ->and(clock($schedule->placed['b']->start))->toBe('1 08:00')->and(clock($schedule->placed['b']->finish))->toBe('1 10:00')
        // The second has one hour a day: nine is past it.
        ->and(clock($schedule->placed['c']->start))->toBe('2 08:00')->and($schedule->broken)->toBe([]);
    $late = Scheduler::plan([new Task('a', 600), new Task('c', 30, after: ['a'], heldAt: 480, heldBy: 1)], [daily(8), daily(8)]);
    expect($late->broken)->toBe(['c'])->and(clock($late->placed['c']->start))->toBe('1 08:00');
});

it('gives what takes two to two who work then, and to one where no other ever does', function (): void {
    // The second works on Wednesdays only: the arm waits for that day, the rest does not.
    $tasks = [new Task('arm', 60, needs: 2), new Task('blades', 120)];
    $schedule = Scheduler::plan($tasks, [daily(8), working([3 => 4.0])]);
    expect(clock($schedule->placed['arm']->start))->toBe('3 08:00')->and($schedule->placed['arm']->people())->toBe([0, 1])->and(clock($schedule->placed['blades']->start))->toBe('1 08:00')
        ->and(Scheduler::plan($tasks, [daily(8)])->placed['arm']->people())->toBe([0])
        ->and(Scheduler::plan($tasks, [working([1 => 8.0]), working([2 => 8.0])])->placed['arm']->people())->toBe([0]);
    // Who is there first has nobody to do it with: the other two do it.
    $others = Scheduler::plan([new Task('arm', 60, needs: 2), new Task('hood', 30, needs: 2)], [working([1 => 8.0]), working([2 => 8.0]), working([2 => 8.0])]);
    expect($others->placed['arm']->people())->toBe([1, 2])->and(clock($others->end))->toBe('2 09:30');
    // Set for the second at a time at which the third is at something else that is set: the first helps.
    $held = Scheduler::plan([new Task('tail', 60, heldAt: 480, heldBy: 2), new Task('arm', 60, heldAt: 480, heldBy: 1, needs: 2), new Task('blades', 30)], [daily(8), daily(8), daily(8)]);
    expect($held->placed['arm']->people())->toBe([1, 0])->and(clock($held->placed['arm']->start))->toBe('1 08:00')->and(clock($held->placed['blades']->start))->toBe('1 09:00');
});

it('refuses what cannot be planned', function (callable $plan, string $says): void {
    expect($plan)->toThrow(InvalidPlan::class, $says);
})->with([
    'nobody' => [fn () => Scheduler::plan([], []), 'one person at least'],
    'no hours' => [fn () => daily(0), 'hours on one day'],
    'too many hours' => [fn () => daily(25), '0 to 24'],
    'no minutes' => [fn () => new Task('a', 0), '1 to 6000'],
    'ten thousand' => [fn () => new Task('a', 10_000), '1 to 6000'],
    'nobody for it' => [fn () => new Task('a', 1, needs: 9), '1 to 8 people'],
    'missing' => [fn () => Scheduler::plan([new Task('a', 1, after: ['b'])], [daily(8)]), 'a comes after b'],
    'a circle' => [fn () => Scheduler::plan([new Task('a', 1, after: ['b']), new Task('b', 1, after: ['a']), new Task('c', 1)], [daily(8)]), 'a, b'],
    'twice' => [fn () => Scheduler::plan([new Task('a', 1), new Task('a', 1)], [daily(8)]), 'twice'],
    'held by nobody' => [fn () => Scheduler::plan([new Task('a', 1, heldAt: 480, heldBy: 2)], [daily(8)]), 'cannot be held'],
]);

/**
 * The best there is, by stepping through the hours and trying everything that everybody could do in each, idling too.
 *
 * @param  list<array{hours: int, from: int, after: list<int>, holds: list<string>, due: int|null, needs?: int}>  $tasks  hours of work; from and due as instants
 * @param  list<int>  $people  hours a day
 * @return array{int, int} how late the latest, and when the last is done
 */
function bestByHours(array $tasks, array $people): array
{
    $memo = [];
    // By then one alone would be through, however late all comes.
    $most = max($people) * (3 + intdiv(array_sum(array_column($tasks, 'hours')), min($people)));
    $step = function (int $slot, array $left, array $doing) use (&$step, &$memo, $tasks, $people, $most): array {
        if (array_sum($left) === 0) {
            return [[PHP_INT_MIN, 0]];
        }
        if ($slot >= $most) {
            return [];
        }
        $key = $slot.':'.implode(',', $left).':'.implode(',', array_map(static fn (?int $of): int => $of ?? -1, $doing));
        if (isset($memo[$key])) {
            return $memo[$key];
        }
        $perDay = max($people);
        [$day, $hour] = [intdiv($slot, $perDay), $slot % $perDay];
        $now = $day * 1440 + 480 + 60 * $hour;
        $choices = [[]];
        foreach ($people as $person => $hours) {
            $further = [];
            foreach ($choices as $taken) {
                // Who is at something together goes on when both are there.
                $with = $doing[$person] === null ? [$person] : array_keys($doing, $doing[$person], true);
                if ($hour >= min(array_map(static fn (int $of): int => $people[$of], $with))) {
                    $further[] = [...$taken, -1];

                    continue;
                }
                if ($doing[$person] !== null) {
                    $further[] = [...$taken, $doing[$person]];

                    continue;
                }
                $further[] = [...$taken, -1];
                foreach ($tasks as $at => $task) {
                    $joins = ($task['needs'] ?? 1) > 1 && in_array($at, $taken, true) && ! in_array($at, $doing, true);
                    $isFree = $left[$at] === $task['hours'] && ! in_array($at, $doing, true) && ! in_array($at, $taken, true) && $task['from'] <= $now
                        && array_filter($task['after'], static fn (int $other): bool => $left[$other] > 0) === [];
                    $busy = array_merge(...array_map(static fn (?int $of): array => $of === null || $of < 0 ? [] : $tasks[$of]['holds'], [...$doing, ...$taken]));
                    if ($joins || $isFree && array_intersect($task['holds'], $busy) === []) {
                        $further[] = [...$taken, $at];
                    }
                }
            }
            $choices = $further;
        }
        $front = [];
        foreach ($choices as $taken) {
            foreach (array_unique($taken) as $at) {
                if ($at >= 0 && count(array_keys($taken, $at, true)) !== ($tasks[$at]['needs'] ?? 1)) {
                    continue 2;
                }
            }
            [$next, $on, $late, $end] = [$left, $doing, PHP_INT_MIN, 0];
            foreach (array_unique($taken) as $at) {
                if ($at < 0) {
                    continue;
                }
                $next[$at]--;
                foreach (array_keys($taken, $at, true) as $person) {
                    $on[$person] = $next[$at] === 0 ? null : $at;
                }
                if ($next[$at] === 0) {
                    $end = $now + 60;
                    $late = $tasks[$at]['due'] === null ? $late : max($late, $end - $tasks[$at]['due']);
                }
            }
            foreach ($step($slot + 1, $next, $on) as [$later, $last]) {
                $front[] = [max($late, $later), max($end, $last)];
            }
        }
        sort($front);
        $kept = [];
        foreach ($front as $point) {
            if ($kept === [] || $point[1] < end($kept)[1]) {
                $kept[] = $point;
            }
        }

        return $memo[$key] = $kept;
    };

    return $step(0, array_column($tasks, 'hours'), array_fill(0, count($people), null))[0];
}

it('finds the best there is for small plans', function (): void {
    $random = new Randomizer(new Mt19937(20261207));
    for ($case = 0; $case < 100; $case++) {
        $count = $random->getInt(2, $case % 10 === 0 ? 8 : 6);
        $people = [$random->getInt(2, 4), $random->getInt(2, 4)];
        $tasks = [];
        for ($at = 0; $at < $count; $at++) {
            $tasks[] = [
                'needs' => $case % 2 === 0 && $random->getInt(0, 2) === 0 ? 2 : 1,
                'hours' => $random->getInt(1, 3), 'from' => $random->getInt(0, 3) === 0 ? 480 + 60 * $random->getInt(1, 3) + 1440 * $random->getInt(0, 1) : 0,
                'after' => $at > 0 && $random->getInt(0, 2) === 0 ? [$random->getInt(0, $at - 1)] : [],
                'holds' => $random->getInt(0, 1) === 0 ? ["{$random->getInt(1, 2)} left"] : [],
                'due' => $random->getInt(0, 2) === 0 ? 1440 * $random->getInt(0, 3) + 600 : null,
            ];
        }
        $schedule = Scheduler::plan(
            array_map(static fn (array $of, int $at): Task => new Task("t{$at}", 60 * $of['hours'], $of['from'], array_map(static fn (int $other): string => "t{$other}", $of['after']), $of['holds'], $of['due'], needs: $of['needs']), $tasks, array_keys($tasks)),
            array_map(static fn (int $hours): WorkHours => daily($hours), $people),
        );
        expect([$schedule->late ?? PHP_INT_MIN, $schedule->end])->toBe(bestByHours($tasks, $people), "case {$case}")->and($schedule->isBest)->toBeTrue();
        isPossible($schedule, $tasks);
    }
});

/** @param  list<array{hours: int, from: int, after: list<int>, holds: list<string>, due: int|null, needs?: int}>  $tasks */
function isPossible(Schedule $schedule, array $tasks): void
{
    foreach ($tasks as $at => $task) {
        $placed = $schedule->placed["t{$at}"];
        expect($placed->start)->toBeGreaterThanOrEqual($task['from'])->and(count($placed->people()))->toBe($task['needs'] ?? 1);
        foreach ($task['after'] as $other) {
            expect($placed->start)->toBeGreaterThanOrEqual($schedule->placed["t{$other}"]->finish);
        }
        foreach ($tasks as $beside => $other) {
            $of = $schedule->placed["t{$beside}"];
            if ($beside < $at && (array_intersect($of->people(), $placed->people()) !== [] || array_intersect($task['holds'], $other['holds']) !== [])) {
                expect($of->finish <= $placed->start || $placed->finish <= $of->start)->toBeTrue("t{$beside} and t{$at}");
            }
        }
    }
}

it('is never worse than the plain rule on large plans, and within what it says of the best', function (): void {
    $random = new Randomizer(new Mt19937(5));
    for ($case = 0; $case < 12; $case++) {
        $tasks = $plain = [];
        for ($at = 0, $count = $random->getInt(30, 120); $at < $count; $at++) {
            $plain[] = [
                'needs' => $random->getInt(0, 9) === 0 ? 2 : 1,
                'hours' => $random->getInt(1, 3), 'from' => $random->getInt(0, 5) === 0 ? 1440 * $random->getInt(1, 6) + 480 : 0, 'after' => $at > 9 && $random->getInt(0, 9) === 0 ? [$random->getInt(0, $at - 1)] : [],
                'holds' => [$random->getInt(1, 16).' left'], 'due' => $random->getInt(0, 1) === 0 ? 1440 * $random->getInt(4, 12) : null,
            ];
        }
        $tasks = array_map(static fn (array $of, int $at): Task => new Task("t{$at}", 40 * $of['hours'], $of['from'], array_map(static fn (int $other): string => "t{$other}", $of['after']), $of['holds'], $of['due'], needs: $of['needs']), $plain, array_keys($plain));
        $people = [daily(8), working([1 => 4.0, 3 => 8.0, 6 => 6.0]), daily(5)];
        $schedule = Scheduler::plan($tasks, $people);
        $rule = Scheduler::plain($tasks, $people);
        isPossible($schedule, $plain);
        expect([$schedule->late, $schedule->end] <=> [$rule->late, $rule->end])->toBeLessThanOrEqual(0)
            ->and($schedule->lateOver)->toBeGreaterThanOrEqual(0)->and($schedule->endOver)->toBeGreaterThanOrEqual(0);
    }
});

it('keeps its bound under the best there is', function (): void {
    // The bound of the small plans, told by the twin: never over it.
    $random = new Randomizer(new Mt19937(77));
    for ($case = 0; $case < 60; $case++) {
        $tasks = [];
        for ($at = 0, $count = $random->getInt(2, 5); $at < $count; $at++) {
            $tasks[] = ['needs' => $random->getInt(0, 3) === 0 ? 2 : 1, 'hours' => $random->getInt(1, 3), 'from' => 480 + 60 * $random->getInt(0, 3), 'after' => [], 'holds' => ["{$random->getInt(1, 2)} left"], 'due' => $random->getInt(0, 1) === 0 ? 700 : null];
        }
        $people = [$random->getInt(2, 4), $random->getInt(2, 4)];
        $rule = Scheduler::plain(
            array_map(static fn (array $of, int $at): Task => new Task("t{$at}", 60 * $of['hours'], $of['from'], [], $of['holds'], $of['due'], needs: $of['needs']), $tasks, array_keys($tasks)),
            array_map(static fn (int $hours): WorkHours => daily($hours), $people),
        );
        [$late, $end] = bestByHours($tasks, $people);
        expect($rule->end - $rule->endOver)->toBeLessThanOrEqual($end)->and($rule->late === null ? PHP_INT_MIN : $rule->late - $rule->lateOver)->toBeLessThanOrEqual($late);
    }
});

it('says on which days and hours a piece is worked on', function (array $hours, int $start, int $finish, array $stretches): void {
    expect(working($hours)->stretches($start, $finish))->toBe($stretches);
})->with([
    'within a day' => [array_fill(1, 7, 8.0), 500, 540, [[0, 500, 540]]],
    'over a night' => [array_fill(1, 7, 8.0), 940, 1440 + 520, [[0, 940, 960], [1, 480, 520]]],
    'four days' => [array_fill(1, 7, 8.0), 480, 3 * 1440 + 600, [[0, 480, 960], [1, 480, 960], [2, 480, 960], [3, 480, 600]]],
    'over a weekend' => [[1 => 8.0, 2 => 8.0, 3 => 8.0, 4 => 8.0, 5 => 4.0], 4 * 1440 + 700, 7 * 1440 + 500, [[4, 700, 720], [7, 480, 500]]],
    'a day of 17 hours begins at seven' => [array_fill(1, 7, 17.0), 1400, 1440 + 430, [[0, 1400, 1440], [1, 420, 430]]],
    'up to midnight' => [array_fill(1, 7, 24.0), 1380, 1440, [[0, 1380, 1440]]],
]);

it('says that parts come only where it is parts that a task waits for', function (bool $waits, LinkCause $cause): void {
    // At 9:00 of the first day.
    expect(Scheduler::plan([new Task('a', 60, from: 540, waits: $waits)], [daily(8)])->chain)->toEqual([new ChainLink('a', $cause)]);
})->with([[true, LinkCause::Arrival], [false, LinkCause::Begin]]);

it('waits for parts that come later than now, and for nothing that is here', function (int $from, int $now, bool $waits): void {
    expect((new Piece('a', 3, [], [], 60, 0, $from, [], false))->task('1', $now, null, [])->waits)->toBe($waits);
})->with([[0, 0, false], [0, 552, false], [1920, 552, true]]);

it('spreads as many minutes over the days as a piece takes, whoever has which hours', function (int $seed): void {
    $random = new Randomizer(new Mt19937($seed));
    for ($case = 0; $case < 200; $case++) {
        $week = array_map(static fn (): float => $random->getInt(0, 48) / 2, array_fill(1, 7, 0));
        if (array_sum($week) === 0.0) {
            continue;
        }
        $hours = working($week);
        [$start, $minutes] = [$hours->next($random->getInt(0, 20_000)), $random->getInt(1, 6000)];
        $stretches = $hours->stretches($start, $hours->finish($start, $minutes));
        expect(array_sum(array_map(static fn (array $of): int => $of[2] - $of[1], $stretches)))->toBe($minutes)
            // Each day once, in order, within its own hours.
            ->and(array_column($stretches, 0))->toBe(array_values(array_unique(array_column($stretches, 0))));
        foreach ($stretches as [$day, $from, $to]) {
            expect($to - $from)->toBeLessThanOrEqual((int) round(60 * $week[($day % 7) + 1]));
        }
    }
})->with([1, 2, 3]);
