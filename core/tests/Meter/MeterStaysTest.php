<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\Places\MeterPlacement;
use Ustrel\Core\Meter\Places\MeterStays;
use Ustrel\Core\Meter\RunFinding;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\SpecSheetReader;

/** @param  list<array{int, array{int, int}|null, int}>  $moves  meter, row and hour */
function staysOf(array $moves): array
{
    return MeterStays::of(array_map(static fn (array $move, int $at): MeterPlacement => new MeterPlacement(sprintf('%03d', $at), $move[0], $move[1], Moment::ofMilliseconds(3_600_000 * $move[2])), $moves, array_keys($moves)));
}

it('finds two meters in one row at once, and none where one left in the moment that the other came', function (array $moves, ?array $clash): void {
    $found = MeterStays::clash(staysOf($moves));
    expect($found === null ? null : [$found[0]->move->meter, $found[1]->move->meter])->toBe($clash);
})->with([
    'each in a row of its own' => [[[1, [9, 5], 0], [2, [9, 6], 0]], null],
    'the same row of another planter' => [[[1, [9, 5], 0], [2, [8, 5], 0]], null],
    'one comes while the other is in' => [[[1, [9, 5], 0], [2, [9, 5], 3]], [1, 2]],
    'swapped at one instant' => [[[1, [9, 5], 0], [2, [9, 6], 0], [1, [9, 6], 4], [2, [9, 5], 4]], null],
    'written down late, when the other was in' => [[[2, [9, 5], 3], [2, null, 8], [1, [9, 5], 5], [1, null, 6]], [2, 1]],
    'between two stays of the other' => [[[2, [9, 5], 0], [2, null, 2], [2, [9, 5], 8], [1, [9, 5], 3], [1, null, 7]], null],
]);

it('gives a run to the meter that is in the row, or else to the one that came from it', function (): void {
    // 1 is in row 5, goes out at 10 and comes back at 30; meanwhile 2 stands in from 20 to 25; 3 was there before.
    $stays = staysOf([[3, [9, 5], 0], [3, [9, 6], 2], [1, [9, 5], 3], [1, null, 10], [2, [9, 5], 20], [2, null, 25], [1, [9, 5], 30]]);
    $whose = array_map(static fn (int $hour): ?int => MeterStays::meterOf($stays, [9, 5], Moment::ofMilliseconds(3_600_000 * $hour)), [-1, 1, 2, 3, 12, 22, 26, 31]);
    // At 2 the one that was in it has gone to another row, and none has come.
    expect($whose)->toBe([null, 3, null, 1, 1, 2, 2, 1])->and(MeterStays::meterOf($stays, [9, 7], Moment::ofMilliseconds(0)))->toBeNull();
});

it('puts a run on the board: that it was run, and the first suspect that the row unit has', function (RowUnitType $type, Counts $counts, bool $isPeriodic, array $findings): void {
    $said = array_map(static fn (RunFinding $finding): string => trim("{$finding->check->value} {$finding->state?->value} ".implode(' ', array_column($finding->chips, 'value'))), RunFinding::of($counts, $isPeriodic, SpecSheetReader::read(typicalSheet($type))->for(Equipment::of(['meter' => $type->value], RowUnitType::Vacuum))->checks));
    expect($said)->toBe(['meter_bench_seasons', ...$findings]);
})->with([
    // 10 of 500: the interval reaches from 96.4 to 98.9 %, so nothing says that it is under 98 %.
    'good enough' => [RowUnitType::Vacuum, new Counts(500, 5, 5), false, []],
    'not by more than luck' => [RowUnitType::Vacuum, new Counts(500, 14, 0), false, []],
    'skips' => [RowUnitType::Vacuum, new Counts(500, 40, 4), false, ['meter_seal watch']],
    'skips of one without air' => [RowUnitType::Finger, new Counts(500, 40, 4), false, ['meter_brush watch']],
    'doubles' => [RowUnitType::Vacuum, new Counts(500, 3, 40), false, ['meter_singulator watch']],
    'both' => [RowUnitType::Vacuum, new Counts(500, 20, 21), false, ['meter_disc watch']],
    'turn by turn' => [RowUnitType::Vacuum, new Counts(500, 9, 1), true, ['meter_disc watch holes_plugged']],
]);
