<?php

declare(strict_types=1);

use Ustrel\Core\Field\DepthIndex;
use Ustrel\Core\Field\RowIndex;
use Ustrel\Core\Field\ToolbarLevel;
use Ustrel\Core\Measure\Length;

function inch(float $inches): Length
{
    return Length::ofMillimetres($inches * 25.4);
}

it('says which depth stops to move, which way, and what it wins', function (): void {
    // Sorted 3 5 5 5 6 8: median 5. Row 2 at 8 goes down 3, row 5 at 3 goes up 2; one notch off may stay.
    $index = DepthIndex::of([1 => 5, 2 => 8, 3 => 5, 4 => 6, 5 => 3, 6 => 5], 1.0);
    expect($index->median)->toBe(5.0)
        ->and(array_map(fn (RowIndex $row): int => $row->move, $index->rows))->toBe([0, -3, 0, 0, 2, 0])
        ->and(array_map(fn (RowIndex $row): float => $row->offset, $index->rows))->toBe([0.0, 3.0, 0.0, 1.0, -2.0, 0.0])
        ->and([$index->spreadBefore, $index->spreadAfter])->toEqual([5.0, 1.0]);
});

it('leaves a planter alone that is within a notch, and never makes it worse', function (): void {
    expect(array_sum(array_map(fn (RowIndex $row): int => abs($row->move), DepthIndex::of([5, 6, 5, 6], 1.0)->rows)))->toBe(0);
    mt_srand(7);
    for ($case = 0; $case < 200; $case++) {
        $notches = array_map(fn (): float => mt_rand(0, 24) / 2, range(1, mt_rand(1, 48)));
        $index = DepthIndex::of($notches, 1.0);
        expect($index->spreadAfter)->toBeLessThanOrEqual($index->spreadBefore);
        foreach ($index->rows as $row) {
            expect(abs($row->notch + $row->move - $index->median))->toBeLessThanOrEqual(1.0);
        }
    }
});

it('works the pitch and the hitch out from two heights', function (): void {
    // Front 20 in, rear 20 1/2 in, 48 in apart: sin a = -0.5 / 48, a = -0.5969 degrees, nose-down.
    // To 0.75 degrees over 160 in: 160 x (sin 0.75 + 0.5 / 48) = 160 x (0.0130896 + 0.0104167) = 3.761 in up.
    $level = ToolbarLevel::fromHeights(inch(20), inch(20.5), inch(48), inch(160), 0.0, 1.5);
    expect($level->pitch)->toEqualWithDelta(-0.5969, 0.0001)
        ->and($level->hitchMove?->toInches())->toEqualWithDelta(3.761, 0.001);
    // 2 degrees by the gauge: 160 x (0.0130896 - 0.0348995) = 3.490 in down.
    expect(ToolbarLevel::of(2.0, inch(160), 0.0, 1.5)->hitchMove?->toInches())->toEqualWithDelta(-3.490, 0.001)
        ->and(ToolbarLevel::of(1.5, inch(160), 0.0, 1.5)->hitchMove)->toBeNull()
        ->and(ToolbarLevel::of(-3.0, null, 0.0, 1.5)->hitchMove)->toBeNull()
        ->and(fn () => ToolbarLevel::fromHeights(inch(20), inch(30), inch(10), null, 0.0, 1.5))->toThrow(InvalidArgumentException::class);
});
