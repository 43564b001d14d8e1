<?php

declare(strict_types=1);

use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\InvalidGroup;
use Ustrel\Core\Field\Watch\InvalidWatch;
use Ustrel\Core\Field\Watch\MonitorLine;
use Ustrel\Core\Field\Watch\RowGroup;
use Ustrel\Core\Field\Watch\Watched;

it('reads a moment, and takes what no sensor can say for a jump', function (): void {
    $line = MonitorLine::of(['ms' => 5, 'mph' => 4.9, 'down' => true, 'population' => [34_000, null, -3], 'downforce' => [0, 150.5, 99_999], 'off' => [3, 3], 'target' => ['population' => 34_000], 'more' => 1], 3);
    expect($line->values)->toBe(['population' => [34_000.0, null, null], 'downforce' => [0.0, 150.5, null]])->and($line->jumped)->toBe(['population' => [3], 'downforce' => [3]])->and($line->off)->toBe([3])->and($line->targets)->toBe(['population' => 34_000.0]);
});

it('refuses what is no moment', function (mixed $told, string $fault): void {
    expect(static fn (): MonitorLine => MonitorLine::of(is_array($told) ? $told + ['ms' => 0, 'mph' => 5, 'down' => true] : $told, 2))->toThrow(static fn (InvalidWatch $is) => expect($is->fault)->toBe($fault));
})->with([
    ['x', 'line'], [null, 'line'], [['down' => 1], 'line'], [['ms' => '0'], 'ms'], [['ms' => -1], 'ms'], [['ms' => 1.5], 'ms'], [['mph' => 31], 'mph'], [['mph' => null], 'mph'],
    [['population' => [1]], 'rows'], [['population' => ['1', 2]], 'rows'], [['population' => 5], 'rows'], [['flow' => [1, true]], 'rows'], [['off' => [3]], 'off'], [['off' => 3], 'off'],
    [['target' => ['population' => 0]], 'target'], [['target' => ['skips' => 1]], 'target'], [['target' => 5], 'target'],
]);

it('has groups of two rows or more that the planter has', function (): void {
    expect(RowGroup::of(GroupKind::Tank, 'front', [3, 1, 3], 4)->rows)->toBe([1, 3])
        ->and(static fn (): RowGroup => RowGroup::of(GroupKind::Tank, 'front', [3, 3], 4))->toThrow(InvalidGroup::class)
        ->and(static fn (): RowGroup => RowGroup::of(GroupKind::Tank, 'front', [3, 5], 4))->toThrow(InvalidGroup::class)
        ->and(static fn (): RowGroup => RowGroup::of(GroupKind::Tank, 'front', [0, 2], 4))->toThrow(InvalidGroup::class);
});

it('comes back to the figure that was scaled', function (Watched $of, float $figure): void {
    expect($of->back($of->scaled($figure)))->toEqualWithDelta($figure, 1e-9 * max(1, $figure));
})->with([[Watched::Population, 34_000.0], [Watched::Skips, 0.0], [Watched::Skips, 2.6], [Watched::Downforce, 0.0], [Watched::Flow, 9.7]]);
