<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Deadline;

/** Due on a day, to be begun by another. */
function deadline(string $due, ?string $start, bool $isDone = false, bool $isLate = false): Deadline
{
    return new Deadline('walk', Day::of($due), $start === null ? null : Day::of($start), $isDone, $isLate, false);
}

it('is near from a week before, or once it has to be begun, and never once it is done', function (Deadline $of, bool $isNear): void {
    expect($of->isNear(Day::of('2026-03-16')))->toBe($isNear);
})->with([
    'in eight days' => [fn () => deadline('2026-03-24', '2026-03-17'), false],
    'in seven days' => [fn () => deadline('2026-03-23', '2026-03-20'), true],
    'far off, to be begun today' => [fn () => deadline('2026-04-20', '2026-03-16'), true],
    'far off, to be begun tomorrow' => [fn () => deadline('2026-04-20', '2026-03-17'), false],
    'far off, nobody has hours' => [fn () => deadline('2026-04-20', null), false],
    'past' => [fn () => deadline('2026-03-10', null), true],
    'late' => [fn () => deadline('2026-04-20', '2026-03-30', isLate: true), true],
    'done and past' => [fn () => deadline('2026-03-10', '2026-03-01', isDone: true), false],
]);
