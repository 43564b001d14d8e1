<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Work\TickedLines;
use Ustrel\Core\Work\WorkEventKind;

const BLADE = 'change:3:opener_blade:left';
const WHEEL_OFF = 'off:3:gauge_wheel:left';

/** @param  list<array{WorkEventKind, int, list<string>}>  $events of 2 March 2027 */
function tickedAfter(array $events, string $today = '2027-03-02'): TickedLines
{
    return TickedLines::after(array_map(static fn (array $event): array => [...$event, Day::of('2027-03-02')], $events), Day::of($today));
}

it('holds a tick until its job is finished', function (): void {
    $tick = [WorkEventKind::Ticked, 3, [BLADE]];
    expect(tickedAfter([$tick])->ticks)->toBe([BLADE => 0])
        ->and(tickedAfter([$tick, [WorkEventKind::Finished, 3, [BLADE]]]))->ticks->toBe([])->closed->toBe([BLADE => 1]);
});

it('holds no tick of a job that could not be done', function (): void {
    $after = tickedAfter([[WorkEventKind::Ticked, 3, [BLADE]], [WorkEventKind::CouldNot, 3, [BLADE]]]);
    expect($after->ticks)->toBe([])->and($after->closed)->toBe([BLADE => 1]);
});

it('has what came off back on once anything of its row is finished', function (): void {
    $off = [WorkEventKind::Ticked, 3, [WHEEL_OFF]];
    $other = [WorkEventKind::Ticked, 13, ['off:13:gauge_wheel:left']];
    expect(array_keys(tickedAfter([$off, $other, [WorkEventKind::Finished, 3, [BLADE]]])->ticks))->toBe(['off:13:gauge_wheel:left']);
});

it('leaves what came off where a job of its row could not be done', function (): void {
    expect(tickedAfter([[WorkEventKind::Ticked, 3, [WHEEL_OFF]], [WorkEventKind::CouldNot, 3, [BLADE]]])->ticks)->toBe([WHEEL_OFF => 0]);
});

it('leaves the ticks of other jobs of a row that is finished', function (): void {
    $scraper = 'change:3:scraper:left';
    expect(tickedAfter([[WorkEventKind::Ticked, 3, [$scraper]], [WorkEventKind::Finished, 3, [BLADE]]])->ticks)->toBe([$scraper => 0]);
});

it('holds for the day that the planter was made safe, other ticks longer', function (): void {
    $events = [[WorkEventKind::Ticked, 3, ['off:3:lock:centre']], [WorkEventKind::Ticked, 3, [WHEEL_OFF]]];
    expect(array_keys(tickedAfter($events)->ticks))->toBe(['off:3:lock:centre', WHEEL_OFF])
        ->and(array_keys(tickedAfter($events, '2027-03-03')->ticks))->toBe([WHEEL_OFF]);
});

it('goes by the newest tick, and by the newest that closed a job', function (): void {
    $after = tickedAfter([[WorkEventKind::CouldNot, 3, [BLADE]], [WorkEventKind::Ticked, 3, [BLADE]], [WorkEventKind::Finished, 3, [BLADE]], [WorkEventKind::Ticked, 3, [BLADE]]]);
    expect($after->ticks)->toBe([BLADE => 3])->and($after->closed)->toBe([BLADE => 2]);
});
