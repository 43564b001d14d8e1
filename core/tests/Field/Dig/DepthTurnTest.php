<?php

declare(strict_types=1);

use Ustrel\Core\Field\Dig\ClosingMove;
use Ustrel\Core\Field\Dig\ClosingPressure;
use Ustrel\Core\Field\Dig\DepthTurn;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugAt;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Field\Dig\TurnWorth;
use Ustrel\Core\Spec\DepthScale;

/** @param  array<int, float>  $means  millimetres, by row */
function dugAtMeans(array $means): DugRows
{
    return new DugRows(array_map(static fn (float $mean): DugRow => new DugRow([$mean - 1, $mean, $mean + 1, $mean, $mean]), $means));
}

it('tells nothing of marks before two of them were dug, where a notch goes by the sheet', function (): void {
    $dug = dugAtMeans([1 => 38.1, 2 => 38.1]);
    expect(DepthTurn::of(1, DepthScale::Notches, $dug, null, [], 50.8, 6.35)?->by)->toBe(2.0)
        // What to expect after it is told of the last pass: by the sheet, not by a line through marks.
        ->and(DepthTurn::of(1, DepthScale::Notches, $dug, TurnWorth::of([], 6.35), [], 50.8, 6.35)?->tellsDepth)->toBeTrue()
        ->and(DepthTurn::of(1, DepthScale::Notches, $dug, null, [], 50.8, 6.35)?->tellsDepth)->toBeFalse()
        ->and(DepthTurn::of(1, DepthScale::Marks, dugAtMeans([1 => 30.0, 2 => 50.0]), TurnWorth::of([], null), [1 => 3.0, 2 => 5.0], 45.0, 6.35)?->tellsDepth)->toBeFalse()
        ->and(DepthTurn::of(1, DepthScale::Marks, $dug, null, [], 50.8, 6.35))->toBeNull()
        ->and(DepthTurn::of(1, DepthScale::Marks, $dug, null, [1 => 3.0, 2 => 3.0], 50.8, 6.35))->toBeNull()
        ->and(DepthTurn::of(1, DepthScale::Turns, $dug, TurnWorth::of([], null), [1 => 3.0], 50.8, 6.35))->toBeNull();
});

it('goes by rows that stand at different marks, whichever way the scale runs', function (): void {
    // Mark 3 plants 30 mm, mark 5 plants 50: 10 mm a mark. 45 mm wants 1 1/2 marks up of the first and 1/2 down of the other.
    $dug = dugAtMeans([1 => 30.0, 2 => 50.0]);
    $up = static fn (int $row): ?DepthTurn => DepthTurn::of($row, DepthScale::Marks, $dug, null, [1 => 3.0, 2 => 5.0], 45.0, 6.35);
    expect([$up(1)?->by, $up(1)?->isDeeper])->toBe([1.5, true])->and([$up(2)?->by, $up(2)?->isDeeper])->toBe([-0.5, false]);
    // Higher is shallower on the other.
    $down = static fn (int $row): ?DepthTurn => DepthTurn::of($row, DepthScale::Marks, $dug, null, [1 => 5.0, 2 => 3.0], 45.0, 6.35);
    expect([$down(1)?->by, $down(1)?->isDeeper])->toBe([-1.5, true])->and([$down(2)?->by, $down(2)?->isDeeper])->toBe([0.5, false]);
});

it('takes no line from marks whose depths differ by less than digs do', function (): void {
    expect(DepthTurn::of(1, DepthScale::Marks, dugAtMeans([1 => 40.0, 2 => 40.6]), null, [1 => 3.0, 2 => 5.0], 50.0, 6.35))->toBeNull();
});

it('goes by what a turn was worth on the passes, once there is one', function (): void {
    // Two turns of the screw brought row 1 from 30 to 46 mm: 8 mm a turn.
    $worth = TurnWorth::of([new DugAt(1, 30.0, 0.5, []), new DugAt(1, 46.0, 0.5, ['notch' => 2.0])], null);
    $turn = DepthTurn::of(1, DepthScale::Turns, dugAtMeans([1 => 46.0]), $worth, [], 50.0, 6.35);
    expect($turn?->by)->toBe(0.5)->and($turn->isDeeper)->toBeTrue()
        // Of a pass that others have followed it stays as it was told then.
        ->and(DepthTurn::of(1, DepthScale::Turns, dugAtMeans([1 => 46.0]), null, [], 50.0, 6.35))->toBeNull();
    // Digs so wild that a notch may work either way: the sheet says how a notch works, nothing says it of a turn.
    $wild = TurnWorth::of([new DugAt(1, 40.0, 30.0, []), new DugAt(1, 38.1, 30.0, ['notch' => 1.0])], null);
    expect(DepthTurn::of(1, DepthScale::Notches, dugAtMeans([1 => 38.1]), $wild, [], 50.8, 6.35)?->by)->toBe(2.0)
        ->and(DepthTurn::of(1, DepthScale::Turns, dugAtMeans([1 => 38.1]), $wild, [], 50.8, 6.35))->toBeNull();
    // A screw that makes it shallower is turned back.
    $back = TurnWorth::of([new DugAt(1, 46.0, 0.5, []), new DugAt(1, 30.0, 0.5, ['notch' => 2.0])], null);
    $turn = DepthTurn::of(1, DepthScale::Turns, dugAtMeans([1 => 30.0]), $back, [], 46.0, 6.35);
    expect([$turn?->by, $turn?->isDeeper])->toBe([-2.0, true]);
});

it('goes by a scale in inches without a pass, and moves each scale by what it is set in', function (): void {
    // 1.5 in deep, 2 wanted: 1/2 in up. 1.7 in deep is 0.3 in short: 1/4 in is nearer than 3/8.
    $inches = static fn (float $mean): ?float => DepthTurn::of(1, DepthScale::Inches, dugAtMeans([1 => $mean]), null, [], 50.8, 6.35)?->by;
    expect($inches(38.1))->toBe(0.5)->and($inches(43.18))->toBe(0.25)->and($inches(50.8))->toBe(0.0);
    // Eight millimetres a turn, 46 deep: 50 wants half a turn, 48 a quarter; two holes of 8 mm are never half a hole.
    $worth = TurnWorth::of([new DugAt(1, 30.0, 0.5, []), new DugAt(1, 46.0, 0.5, ['notch' => 2.0])], null);
    $by = static fn (DepthScale $scale, float $target): ?float => DepthTurn::of(1, $scale, dugAtMeans([1 => 46.0]), $worth, [], $target, 6.35)?->by;
    expect([$by(DepthScale::Turns, 50.0), $by(DepthScale::Turns, 48.0), $by(DepthScale::Holes, 49.0), $by(DepthScale::Holes, 51.0), $by(DepthScale::Marks, 49.0)])->toBe([0.5, 0.25, 0.0, 1.0, 0.5]);
});

it('takes what can be set on a scale, and nothing between', function (DepthScale $scale, array $taken, array $refused): void {
    expect(array_filter($taken, static fn (float $of): bool => ! $scale->takes($of)))->toBe([])->and(array_filter($refused, $scale->takes(...)))->toBe([]);
})->with([
    [DepthScale::Notches, [0.0, 5.0, 5.5, 6.25], [5.001]], [DepthScale::Turns, [3.0, 3.25, 3.33], [3.333]], [DepthScale::Holes, [0.0, 3.0, 100.0], [2.5, 2.9]],
    [DepthScale::Inches, [2.0, 2.125, 2.25, 1.7, 1.75, 2.875], [2.13, 2.0625]],
]);

it('judges the closing pressure by what the furrows show', function (array $seen, array $told): void {
    $signs = array_map(static fn (string $of): array => $of === '' ? [] : array_map(DigSign::from(...), explode(' ', $of)), $seen);
    expect(array_map(static fn (ClosingPressure $of): array => [$of->move, $of->rows, $of->isShared], ClosingPressure::of($signs)))->toBe($told);
})->with([
    'nothing was looked at' => [[1 => '', 2 => ''], []],
    'a clean V' => [[1 => 'v', 2 => 'v', 3 => 'v'], []],
    'open on every row' => [[1 => 'open', 4 => 'open', 8 => 'open w'], [[ClosingMove::More, [1, 4, 8], true]]],
    'open on three of four' => [[1 => 'open', 2 => 'open', 3 => 'open', 4 => 'v'], [[ClosingMove::More, [1, 2, 3], true]]],
    'open on two of three: their wheels first' => [[1 => 'open', 2 => 'open', 3 => 'v'], [[ClosingMove::More, [1, 2], false]]],
    'open on both of two rows is no planter yet' => [[1 => 'open', 2 => 'open', 3 => ''], [[ClosingMove::More, [1, 2], false]]],
    'smeared' => [[1 => 'smeared', 2 => 'smeared', 3 => 'smeared'], [[ClosingMove::Less, [1, 2, 3], true]]],
    'open and smeared is too wet, not more' => [[1 => 'open smeared', 2 => 'smeared open', 3 => 'smeared open'], [[ClosingMove::TooWet, [1, 2, 3], true]]],
    'each row by itself' => [[1 => 'open', 2 => 'smeared', 3 => 'dry_soil', 5 => 'v'], [[ClosingMove::More, [1], false], [ClosingMove::Less, [2], false]]],
]);
