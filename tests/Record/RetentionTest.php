<?php

declare(strict_types=1);

use App\Record\Backup\Retention;
use Carbon\CarbonImmutable;

it('keeps the newest of 7 days, 4 weeks and 12 months', function (): void {
    $made = [];
    for ($day = CarbonImmutable::parse('2025-01-01', 'UTC'); $day->lte('2026-11-26'); $day = $day->addDay()) {
        $made[$day->toDateString()] = $day;
    }
    $kept = Retention::of($made);
    sort($kept);
    // Thursday 26 November: its week began on the 23rd; the newest of the weeks before are Sundays.
    expect($kept)->toBe([
        '2025-12-31', '2026-01-31', '2026-02-28', '2026-03-31', '2026-04-30', '2026-05-31', '2026-06-30', '2026-07-31', '2026-08-31', '2026-09-30', '2026-10-31',
        '2026-11-08', '2026-11-15', '2026-11-20', '2026-11-21', '2026-11-22', '2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26',
    ]);
});

it('keeps of several on one day the last, and of few all', function (): void {
    $at = static fn (string $day): CarbonImmutable => CarbonImmutable::parse($day, 'UTC');
    expect(Retention::of(['a-0900' => $at('2026-03-01'), 'a-1700' => $at('2026-03-01'), 'b' => $at('2025-03-01')]))->toBe(['a-1700', 'b'])
        ->and(Retention::of([]))->toBe([]);
});
