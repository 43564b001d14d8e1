<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\UnreadableTime;

it('reads an instant with its time zone, to the millisecond', function (string $iso, int $milliseconds, string $utc): void {
    $moment = Moment::of($iso);
    expect($moment->milliseconds)->toBe($milliseconds)
        ->and($moment->toIso())->toBe($utc)
        ->and(Moment::of($utc)->equals($moment))->toBeTrue();
})->with([
    'the epoch' => ['1970-01-01T00:00:00Z', 0, '1970-01-01T00:00:00.000Z'],
    // 20 513 days after the epoch: 56 years of 365, 14 leap days, 59 days of January and February.
    'a day in March' => ['2026-03-01T00:00:00Z', 20_513 * 86_400_000, '2026-03-01T00:00:00.000Z'],
    'six hours behind' => ['2026-03-01T03:30:00.250-06:00', 20_513 * 86_400_000 + 9 * 3_600_000 + 1_800_250, '2026-03-01T09:30:00.250Z'],
    'ahead, into the day before' => ['2026-03-01T05:00:00+0545', 20_513 * 86_400_000 - 45 * 60_000, '2026-02-28T23:15:00.000Z'],
    'microseconds are cut' => ['1970-01-01T00:00:01.999999Z', 1_999, '1970-01-01T00:00:01.999Z'],
    'before the epoch' => ['1969-12-31T23:59:59.750Z', -250, '1969-12-31T23:59:59.750Z'],
]);

it('refuses what is no instant', function (string $iso): void {
    expect(fn () => Moment::of($iso))->toThrow(UnreadableTime::class);
})->with(['2026-03-01', '2026-03-01T09:30:00', '2026-03-01T09:30Z', '2026-02-30T09:30:00Z', '2026-03-01T24:00:00Z', '2026-03-01T09:30:00+15:00', "2026-03-01T09:30:00Z\n", 'soon', '']);

it('orders instants, with the ends of time around all', function (): void {
    $early = Moment::of('2026-03-01T00:00:00Z');
    $late = Moment::of('2026-03-01T00:00:00.001Z');
    expect($early->isBefore($late))->toBeTrue()->and($early->isBefore($early))->toBeFalse()
        ->and($late->isAfter($early))->toBeTrue()->and($late->isAfter($late))->toBeFalse()
        ->and($early->earlier($late))->toBe($early)->and($late->earlier($early))->toBe($early)
        ->and($early->later($late))->toBe($late)->and($late->later($early))->toBe($late)
        ->and(Moment::ever()->isBefore($early))->toBeTrue()->and(Moment::endOfTime()->isAfter($late))->toBeTrue();
});

it('says which day it is at a place, on both sides of midnight and of the change to summer time', function (string $zone, string $iso, string $day): void {
    expect(Moment::of($iso)->day(new DateTimeZone($zone))->iso)->toBe($day);
})->with([
    ['America/Chicago', '2026-04-21T04:59:59.999Z', '2026-04-20'],
    ['America/Chicago', '2026-04-21T05:00:00Z', '2026-04-21'],
    ['America/Chicago', '2026-01-21T05:59:59Z', '2026-01-20'],
    ['America/Chicago', '2026-01-21T06:00:00Z', '2026-01-21'],
    ['Pacific/Auckland', '2026-04-21T12:00:00Z', '2026-04-22'],
    ['Asia/Kathmandu', '2026-04-21T18:14:59Z', '2026-04-21'],
    ['Asia/Kathmandu', '2026-04-21T18:15:00Z', '2026-04-22'],
    'before the epoch' => ['UTC', '1969-12-31T23:59:59Z', '1969-12-31'],
]);

it('knows the days of the calendar', function (): void {
    $day = Day::of('2024-02-29');
    expect([$day->year(), $day->month(), $day->dayOfMonth()])->toBe([2024, 2, 29])
        ->and($day->plusDays(1)->iso)->toBe('2024-03-01')
        ->and($day->plusDays(-60)->iso)->toBe('2023-12-31')
        ->and($day->daysUntil(Day::of('2025-02-28')))->toBe(365)
        ->and($day->daysUntil(Day::of('2024-02-01')))->toBe(-28)
        ->and(Day::inYear(2025, 2, 29)->iso)->toBe('2025-02-28')
        ->and(Day::inYear(2028, 2, 29)->iso)->toBe('2028-02-29');
});

it('refuses what is no day', function (string $iso): void {
    expect(fn () => Day::of($iso))->toThrow(UnreadableTime::class);
})->with(['2025-02-29', '2026-13-01', '2026-00-10', '1899-12-31', '2201-01-01', '2026-4-1', "2026-04-01\n", '04/01/2026']);

it('ends a day where it ends, also one of 23 hours', function (): void {
    $zone = new DateTimeZone('America/Chicago');
    // Summer time began there on the 8th of March 2026.
    expect(Day::of('2026-03-08')->noon($zone)->toIso())->toBe('2026-03-08T17:00:00.000Z')
        ->and(Day::of('2026-03-07')->end($zone)->toIso())->toBe('2026-03-08T06:00:00.000Z')
        ->and(Day::of('2026-03-08')->end($zone)->toIso())->toBe('2026-03-09T05:00:00.000Z');
});
