<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Unit\ParkedRows;

it('knows which rows were up at any moment', function (string $moment, array $rows): void {
    $parked = (new ParkedRows([]))
        ->from(Moment::of('2025-08-17T00:00:00Z'), [2, 4, 6])
        ->from(Moment::of('2026-05-04T10:00:00.000Z'), [])
        ->from(Moment::of('2026-06-01T10:00:00Z'), [8]);
    expect($parked->at(Moment::of($moment)))->toBe($rows);
})->with([
    'before anybody parked one' => ['2025-04-20T12:00:00Z', []],
    'the last millisecond before' => ['2025-08-16T23:59:59.999Z', []],
    'from then on' => ['2025-08-17T00:00:00Z', [2, 4, 6]],
    'the last millisecond with rows up' => ['2026-05-04T09:59:59.999Z', [2, 4, 6]],
    'let down, by the clock of another place' => ['2026-05-04T05:00:00.000-05:00', []],
    'up again, others' => ['2026-06-01T10:00:00Z', [8]],
    'and so for good' => ['2031-01-01T00:00:00Z', [8]],
]);

it('keeps nothing of a change that is none', function (): void {
    $parked = (new ParkedRows([2]))->from(Moment::of('2026-05-04T10:00:00Z'), [2]);
    expect($parked->before)->toBe([])->and($parked->at(Moment::of('1999-01-01T00:00:00Z')))->toBe([2]);
});
