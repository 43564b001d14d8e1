<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Season\PlantedAcres;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Season\Season;
use Ustrel\Core\Wear\Acres\FieldRun;

it('runs from eight months before planting is to start', function (?string $start, string $day, int $season): void {
    expect(Season::startingOn($start === null ? null : Day::of($start))->of(Day::of($day)))->toBe($season);
})->with([
    'no start: the calendar year' => [null, '2026-12-31', 2026],
    'April: the winter before belongs to it' => ['2026-04-20', '2025-08-20', 2026],
    'April: the day before does not' => ['2026-04-20', '2025-08-19', 2025],
    'the same in another year' => ['2026-04-20', '2024-08-20', 2025],
    'September, on the other half of the earth' => ['2026-09-15', '2026-01-15', 2026],
    'the day before' => ['2026-09-15', '2026-01-14', 2025],
    'the 31st of a month of thirty days is its last' => ['2026-07-31', '2025-11-30', 2026],
    'the day before that' => ['2026-07-31', '2025-11-29', 2025],
    'the end of February' => ['2026-10-31', '2026-02-28', 2026],
    'in a leap year a day later' => ['2026-10-31', '2028-02-28', 2027],
]);

it('begins on the first day that is of it', function (string $start): void {
    $season = Season::startingOn(Day::of($start));
    foreach (range(2023, 2029) as $year) {
        expect($season->of($season->begins($year)))->toBe($year)
            ->and($season->of($season->begins($year)->plusDays(-1)))->toBe($year - 1);
    }
})->with(['2026-04-20', '2026-09-15', '2026-07-31', '2026-10-31', '2024-02-29', '2026-08-31']);

it('sums acres by season', function (): void {
    $season = Season::startingOn(Day::of('2026-04-20'));
    $planted = PlantedAcres::of([
        new FieldRun(Day::of('2026-05-01'), 40.0),
        new FieldRun(Day::of('2023-05-01'), 300.0),
        new FieldRun(Day::of('2025-08-19'), 12.5),
        new FieldRun(Day::of('2025-08-20'), 7.5),
    ], $season);
    expect($planted->bySeason())->toBe([2026 => 47.5, 2025 => 12.5, 2023 => 300.0])
        ->and($planted->in(2026))->toBe(47.5)
        ->and($planted->in(2026, Day::of('2026-05-01')))->toBe(7.5)
        ->and($planted->in(2024))->toBe(0.0)
        ->and($planted->lastBefore(2025))->toBe(300.0)
        ->and($planted->lastBefore(2023))->toBeNull();
});

it('says what a season still brings, and when', function (): void {
    $plan = new PlantingProgress(400.0, 100.0, 10, Length::ofSixteenths(16 * 30), 16, 1.5);
    // 300 acres over 16 rows of 30 inches: 4046.8564224 m2 an acre / 0.762 m, and the ground half as hard again.
    expect($plan->acresLeft())->toBe(300.0)
        ->and($plan->effectiveLeft())->toEqualWithDelta(300 / 16 * 4046.8564224 / 0.762 * 1.5, 1e-6)
        ->and($plan->dayOf(0.0))->toBe(2)
        ->and($plan->dayOf(299.0))->toBe(9)
        ->and($plan->dayOf(300.0))->toBeNull()
        ->and((new PlantingProgress(400.0, 500.0, null, Length::ofSixteenths(480), 16))->acresLeft())->toBe(0.0)
        ->and((new PlantingProgress(400.0, 0.0, null, Length::ofSixteenths(480), 16))->dayOf(1.0))->toBeNull();
});
