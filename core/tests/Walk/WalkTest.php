<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\PlayLimit;
use Ustrel\Core\Spec\Rules\WearLimit;
use Ustrel\Core\Spec\Rules\Window;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Pace;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Plausibility;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\RowSummary;
use Ustrel\Core\Walk\Urgency;
use Ustrel\Core\Walk\WalkOrder;

/** @return list<string> */
function placesOf(WalkOrder $order, int $rows, string ...$checks): array
{
    $sheet = $checks === [] ? sheetFor() : sheetFor()->only($checks);

    return array_map(fn (Place $place): string => $place->key(), Route::through($sheet, $rows, $order)->places);
}

/** @return list<Length> */
function readAll(string ...$typed): array
{
    return array_map(fn (string $one): Length => Length::read($one, UnitSystem::Inch), array_values($typed));
}

/** @param  list<Doubt|null>  $doubts */
function doubtCodes(array $doubts, string $value): array
{
    $length = Length::read($value, UnitSystem::Inch);
    $raised = array_filter($doubts, fn (?Doubt $doubt): bool => $doubt?->concerns($length) ?? false);

    return array_values(array_map(fn (Doubt $doubt): string => $doubt->code->value, $raised));
}

it('walks everything on one row before the next', function (): void {
    expect(placesOf(WalkOrder::RowByRow, 2, 'opener_blade_diameter', 'blade_contact_length'))->toBe([
        '1:opener_blade_diameter:left', '1:opener_blade_diameter:right', '1:blade_contact_length:centre',
        '2:opener_blade_diameter:left', '2:opener_blade_diameter:right', '2:blade_contact_length:centre',
    ]);
});

it('walks one check across the planter before the next', function (): void {
    expect(placesOf(WalkOrder::StationByStation, 2, 'opener_blade_diameter', 'blade_contact_length'))->toBe([
        '1:opener_blade_diameter:left', '1:opener_blade_diameter:right',
        '2:opener_blade_diameter:left', '2:opener_blade_diameter:right',
        '1:blade_contact_length:centre', '2:blade_contact_length:centre',
    ]);
});

it('goes out along the left sides of a station and back along the right, the planter last', function (): void {
    expect(placesOf(WalkOrder::Snake, 3, 'scraper', 'guard_width', 'lights'))->toBe([
        '1:scraper:left', '2:scraper:left', '3:scraper:left', '3:scraper:right', '2:scraper:right', '1:scraper:right',
        '1:guard_width:centre', '2:guard_width:centre', '3:guard_width:centre',
        '0:lights:centre',
    ]);
});

it('visits the same places in every order, each once, and the whole planter last', function (): void {
    $rowByRow = placesOf(WalkOrder::RowByRow, 48);
    expect($rowByRow)->toHaveCount(48 * sheetFor()->placesOfRow(1) + sheetFor()->placesOfPlanter())
        ->and(array_unique($rowByRow))->toHaveCount(count($rowByRow));
    foreach ([WalkOrder::StationByStation, WalkOrder::Snake] as $order) {
        $other = placesOf($order, 48);
        expect($other[array_key_last($other)])->toBe('0:sensors_counting:centre')
            ->and(array_diff($rowByRow, $other))->toBe([])
            ->and($other)->toHaveCount(count($rowByRow));
    }
});

it('takes the pace from the walk itself, breaks left out', function (): void {
    // Twenty readings 30 s apart, dinner for an hour, ten more: 28 gaps of 30 s, and the hour says nothing.
    $times = [...range(0, 19 * 30, 30), ...range(5000, 5000 + 9 * 30, 30)];
    expect(Pace::secondsAReading($times))->toBe(30.0)
        // A whole station called sound in one second counts as many readings.
        ->and(Pace::secondsAReading([0, 60, 60, 60, 60, 60]))->toBe(12.0)
        ->and(Pace::secondsAReading([0, 10, 20]))->toBeNull();
});

it('doubts a blade larger than new or grown since last time', function (): void {
    [$new, $limit, $margin, $last] = readAll('15', '14 1/2', '1/8', '14 3/4');
    $blade = new WearLimit($new, $limit, $margin);
    expect(doubtCodes(Plausibility::ofPlace($blade, null), '15'))->toBe([])
        ->and(doubtCodes(Plausibility::ofPlace($blade, null), '15 1/16'))->toBe(['larger_than_new'])
        // A sixteenth more is the tape's own step.
        ->and(doubtCodes(Plausibility::ofPlace($blade, $last), '14 13/16'))->toBe([])
        ->and(doubtCodes(Plausibility::ofPlace($blade, $last), '14 7/8'))->toBe(['grown_since_last'])
        ->and(doubtCodes(Plausibility::ofPlace($blade, $last), '41'))->toBe(['larger_than_new', 'grown_since_last']);
});

it('doubts play that has shrunk by itself', function (): void {
    [$watch, $limit, $last] = readAll('1/8', '1/4', '3/16');
    $doubts = Plausibility::ofPlace(new PlayLimit($watch, $limit), $last);
    expect(doubtCodes($doubts, '1/16'))->toBe(['shrunk_since_last'])->and(doubtCodes($doubts, '1/8'))->toBe([]);
});

it('does not doubt contact that has grown: shims bring it back', function (): void {
    [$low, $high, $aim, $margin, $last] = readAll('1 1/2', '2 1/2', '2', '1/8', '1 1/2');
    expect(Plausibility::ofPlace(new Window($low, $high, $aim, $margin), $last))->toBe([]);
});

it('doubts a row far from the others by median and MAD', function (): void {
    // Median 14 3/4; deviations 1/8, 1/16, 0, 1/16, 1/8 in: MAD 1/16, times 1.4826 is 0.0927 in, under the least spread
    // of 1/8 in. The cut is 3.5 x 1/8 = 7/16 in: believable from 14 5/16 to 15 3/16.
    $rows = Plausibility::ofRows(readAll('14 5/8', '14 11/16', '14 3/4', '14 13/16', '14 7/8'), 8);
    expect(doubtCodes([$rows], '14 5/16'))->toBe([])
        ->and(doubtCodes([$rows], '14 1/4'))->toBe(['far_from_rows'])
        ->and(doubtCodes([$rows], '15 3/16'))->toBe([])
        ->and(doubtCodes([$rows], '15 1/4'))->toBe(['far_from_rows']);

    // Median of 13, 14, 14 1/2, 15: 14 1/4. Deviations 1 1/4, 1/4, 1/4, 3/4: MAD 1/2, x 1.4826 x 3.5 = 2.5946 in.
    $wide = Plausibility::ofRows(readAll('13', '14', '14 1/2', '15'), 4);
    expect($wide?->reference->steps())->toBe(361_950_000)
        ->and($wide?->below / 25_400_000)->toEqualWithDelta(11.65545, 0.00001)
        ->and($wide?->above / 25_400_000)->toEqualWithDelta(16.84455, 0.00001);
});

it('is not swayed by one wild row, and says nothing of fewer than four', function (): void {
    $rows = Plausibility::ofRows(readAll('14 3/4', '14 3/4', '14 11/16', '14 13/16', '4'), 10);
    expect($rows?->reference->steps())->toBe(374_650_000)
        ->and(Plausibility::ofRows(readAll('14', '15', '4'), 3))->toBeNull();
});

it('does not let the first rows that are typed speak for all', function (): void {
    // Two new rows of a 24-row planter, both sides: 4 of 48 readings.
    $new = readAll('15', '15', '15', '15');
    expect(Plausibility::ofRows($new, 48))->toBeNull();
    // Half of them read, most of them worn: the worn are not doubted, a new one is.
    $most = Plausibility::ofRows([...$new, ...array_fill(0, 20, readAll('14 1/4')[0])], 48);
    expect(doubtCodes([$most], '14 1/8'))->toBe([])->and(doubtCodes([$most], '15'))->toBe(['far_from_rows']);
    // A row that was far from the rest last time, and is where its own wear leads, is not asked about again.
    [$last, $now, $wild] = readAll('13 1/4', '13', '11');
    expect(Plausibility::isAsBefore($most, $now, $last))->toBeTrue()
        ->and(Plausibility::isAsBefore($most, $wild, $last))->toBeFalse()
        ->and(Plausibility::isAsBefore($most, $now, null))->toBeFalse();
});

it('sums a row up by its worst verdict and its least life', function (): void {
    $row = RowSummary::of(6, [Verdict::Sound, Verdict::Watch, Verdict::Sound], [0.7, 0.2, 0.9], 3);
    expect([$row->verdict, $row->lifeLeft, $row->checked])->toBe([Verdict::Watch, 0.2, 3])
        ->and(RowSummary::of(7, [], [], 0)->verdict)->toBe(Verdict::Unchecked)
        ->and(RowSummary::of(7, [], [], 0)->lifeLeft)->toBeNull();
});

it('presses more for the nearer planting, and for rows to change', function (): void {
    // 7 rows unwalked and 2 to change in 23 days: (7 + 5 x 2) / 23; 24 unwalked in 38 days: 24 / 38.
    expect(Urgency::of(7, 2, 23))->toEqualWithDelta(0.73913, 0.00001)
        ->and(Urgency::of(24, 0, 38))->toEqualWithDelta(0.63158, 0.00001)
        ->and(Urgency::of(4, 0, -3))->toBe(4.0)
        ->and(Urgency::of(4, 0, null))->toBeLessThan(Urgency::of(4, 0, 60));
});
