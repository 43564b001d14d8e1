<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Work\Schedule\Breach;
use Ustrel\Core\Work\Schedule\Kept;
use Ustrel\Core\Work\Schedule\Placed;
use Ustrel\Core\Work\Schedule\Scheduler;
use Ustrel\Core\Work\Schedule\Task;
use Ustrel\Core\Work\Schedule\WorkHours;

/** Monday 7 December 2026, eight hours a day but on Sundays. */
function eightHours(): WorkHours
{
    return WorkHours::of(Day::of('2026-12-07'), array_fill(1, 6, 8.0));
}

it('says of each thing that breaks a plan what it is', function (array $task, array $place, int $now, ?Breach $breach): void {
    $tasks = [new Task('before', 60, holds: ['3 left']), new Task('it', ...$task)];
    $placed = ['before' => [[0], 480]] + ($place === [] ? [] : ['it' => [(array) ($place[0] ?? [null]), $place[1]]]);
    expect(Kept::breaches($tasks, [eightHours(), eightHours()], $placed, $now)['it'] ?? null)->toBe($breach);
})->with([
    'nothing' => [[60], [0, 540], 0, null],
    'decided since' => [[60], [], 0, Breach::Added],
    'done by now' => [[60], [1, 480], 540, Breach::Overdue],
    'yesterday' => [[60], [1, -900], 0, Breach::Overdue],
    'under way' => [[60], [1, 480], 539, null],
    'parts later' => [[60, 600], [1, 599], 0, Breach::Arrival],
    'parts that came when it had begun' => [[60, 490], [1, 480], 500, null],
    'a Sunday' => [[60], [1, 6 * 1440 + 480], 0, Breach::Hours],
    'somebody who is gone' => [[60], [null, 480], 0, Breach::Hours],
    'alone at what takes two' => [['minutes' => 60, 'needs' => 2], [0, 540], 0, Breach::Together],
    'two at what takes one' => [[60], [[0, 1], 540], 0, Breach::Together],
    'one of two still at the other' => [['minutes' => 60, 'needs' => 2], [[1, 0], 539], 0, Breach::Person],
    'at the other still' => [[60], [0, 539], 0, Breach::Person],
    'on the same side of the row' => [['minutes' => 60, 'holds' => ['3 left']], [1, 539], 0, Breach::Row],
    'before what it comes after' => [['minutes' => 60, 'after' => ['before']], [1, 539], 0, Breach::After],
]);

it('is not broken by work of yesterday that has begun', function (): void {
    $broken = static fn (array $begun): array => Kept::breaches([new Task('it', 60)], [eightHours()], ['it' => [[0], -900]], 0, $begun);
    expect($broken([]))->toBe(['it' => Breach::Overdue])->and($broken(['other' => true]))->toBe(['it' => Breach::Overdue])->and($broken(['it' => true]))->toBe([]);
});

it('keeps any plan that was made, for as long as nothing of it changes, and reads it the same', function (): void {
    $random = new Randomizer(new Mt19937(7));
    for ($case = 0; $case < 40; $case++) {
        $tasks = [];
        for ($at = 0, $count = $random->getInt(1, 14); $at < $count; $at++) {
            $after = $at > 0 && $random->getInt(0, 2) === 0 ? ['t'.$random->getInt(0, $at - 1)] : [];
            $tasks[] = new Task("t{$at}", $random->getInt(5, 200), $random->getInt(0, 3000), $after, ['row '.$random->getInt(1, 4)], $random->getInt(0, 1) === 0 ? 5 * 1440 : null, needs: $random->getInt(0, 4) === 0 ? 2 : 1);
        }
        $people = [eightHours(), WorkHours::of(Day::of('2026-12-07'), [2 => 5.0, 4 => 10.0])];
        $made = Scheduler::plan($tasks, $people, 3);
        $placed = array_map(static fn (Placed $of): array => [$of->people(), $of->start], $made->placed);
        expect(Kept::breaches($tasks, $people, $placed, 0))->toBe([]);
        $kept = Kept::schedule($tasks, $people, $placed);
        expect($kept->placed)->toEqual($made->placed)->and([$kept->end, $kept->late])->toBe([$made->end, $made->late])
            ->and($kept->slack)->toEqual($made->slack)->and($kept->chain)->toEqual($made->chain);
        // Some are done: the rest goes on where it was.
        $left = array_slice($tasks, intdiv(count($tasks), 2));
        $names = array_map(static fn (Task $task): string => $task->key, $left);
        $left = array_map(static fn (Task $task): Task => new Task($task->key, $task->minutes, $task->from, array_values(array_intersect($task->after, $names)), $task->holds, $task->due, needs: $task->needs), $left);
        $rest = array_intersect_key($placed, array_flip($names));
        expect(Kept::breaches($left, $people, $rest, 0))->toBe([])
            ->and(array_map(static fn (Placed $of): int => $of->start, Kept::schedule($left, $people, $rest)->placed))->toEqualCanonicalizing(array_map(static fn (array $place): int => $place[1], $rest));
    }
});
