<?php

declare(strict_types=1);

use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Field\SetNotches;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Bands;
use Ustrel\Core\Spec\Rules\NearAim;

it('sets every row as deep as the rest, by geometry', function (): void {
    mt_srand(7);
    for ($planter = 0; $planter < 200; $planter++) {
        // A notch lifts the wheels by 6 mm; each row's stop is off by as much as it likes.
        $rows = range(1, mt_rand(3, 24));
        $off = array_map(static fn (): float => 6 * mt_rand(-40, 40) / 10, $rows);
        // With 38 mm blocks under the wheels they just lift where depth, 6 x notch - off, is the blocks' height.
        $lifts = array_combine($rows, array_map(static fn (float $one): float => round(2 * (38 + $one) / 6) / 2, $off));
        $aims = SetNotches::aims($rows, array_combine($rows, array_fill(0, count($rows), 8.0)), $lifts, DepthStrategy::Handle);
        $depths = array_map(static fn (int $row, float $one): float => 6 * $aims[$row] - $one, $rows, $off);
        // Read and set to the half notch: two rounded quarters a row, and the aim's own.
        expect(max($depths) - min($depths))->toBeLessThanOrEqual(6 * 1.0);
    }
});

it('takes the common notch from how most rows are set, and leaves the scale alone where it is re-indexed', function (): void {
    $set = [1 => 5.0, 2 => 5.0, 3 => 8.0, 4 => 5.5];
    // A row that lifts at 8 among rows that lift at 5 is set 3 higher than they.
    expect(SetNotches::aims([1, 2, 3, 4, 5], $set, [1 => 5, 2 => 5, 3 => 8, 4 => 5, 5 => 4], DepthStrategy::Handle))->toBe([1 => 5.0, 2 => 5.0, 3 => 8.0, 4 => 5.0, 5 => 4.0])
        ->and(SetNotches::aims([1, 2, 3, 4], $set, [1 => 5, 2 => 5, 3 => 8, 4 => 5], DepthStrategy::Reindex))->toBe([1 => 5.5, 2 => 5.5, 3 => 5.5, 4 => 5.5])
        ->and(SetNotches::aims([1, 2, 3], $set, [], DepthStrategy::Handle))->toBe([1 => 5.5, 2 => 5.5, 3 => 5.5])
        ->and(SetNotches::aims([1, 2], [1 => 5.0, 2 => 8.0], [], DepthStrategy::Handle))->toBe([]);
});

it('says nothing from a few rows that were measured, and leaves out those that were not', function (): void {
    $rows = range(1, 16);
    $set = array_fill_keys($rows, 6.0);
    // Three of sixteen: nobody knows where the middle of the planter lies.
    expect(SetNotches::aims($rows, $set, [1 => 5, 2 => 8, 3 => 8], DepthStrategy::Handle))->toBe([]);
    // Twelve of sixteen, eleven lifting at 8 and one at 5: that one belongs 3 lower, and of the four others nothing is said.
    $lifts = [1 => 5.0] + array_fill(2, 11, 8.0);
    $aims = SetNotches::aims($rows, $set, $lifts, DepthStrategy::Handle);
    expect(array_keys($aims))->toBe(range(1, 12))->and([$aims[1], $aims[2]])->toBe([3.0, 6.0])
        ->and(SetNotches::aims($rows, $set, array_slice($lifts, 0, 11, true), DepthStrategy::Handle))->toBe([]);
});

it('watches a row beyond half a notch of its aim, and changes it beyond one', function (): void {
    $notch = Unit::Notch->quantityOf(...);
    $rule = new NearAim($notch(0.5), $notch(1));
    $of = fn (float $set, ?float $aim = 8.0): array => words($rule->judge($notch($set), Background::of(aim: $aim === null ? null : $notch($aim))));
    expect($of(8))->toBe(['sound', 'at_aim'])
        ->and([$of(8.5)[0], $of(7.5)[0]])->toBe(['sound', 'sound'])
        ->and([$of(9), $of(7)])->toBe([['watch', 'above_aim'], ['watch', 'below_aim']])
        ->and([$of(9.5), $of(5)])->toBe([['change', 'above_aim'], ['change', 'below_aim']])
        ->and($of(5, null))->toBe(['sound', 'too_few_rows']);
    $background = Background::of(aim: $notch(8));
    $bands = Bands::compile($rule, Unit::Notch, $background);
    for ($set = 0.0; $set <= 14; $set += 0.25) {
        expect(words($bands->judge($notch($set))))->toBe(words($rule->judge($notch($set), $background)));
    }
});
