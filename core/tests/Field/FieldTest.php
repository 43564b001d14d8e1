<?php

declare(strict_types=1);

use Ustrel\Core\Field\DepthIndex;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Field\RowIndex;
use Ustrel\Core\Field\ToolbarLevel;
use Ustrel\Core\Measure\Length;

function inch(float $inches): Length
{
    return Length::ofMillimetres($inches * 25.4);
}

it('says how much higher or lower than the rest a row is set, or how far its stop is re-indexed', function (): void {
    // Sorted 3 5 5 5 6 8: median 5. Row 2 lifts at 8: set 3 higher, or its scale brought down by 3.
    $lifts = [1 => 5, 2 => 8, 3 => 5, 4 => 6, 5 => 3, 6 => 5.5];
    $carried = DepthIndex::of($lifts, 1.0, DepthStrategy::Handle);
    $indexed = DepthIndex::of($lifts, 1.0, DepthStrategy::Reindex);
    $moves = static fn (DepthIndex $index): array => array_map(fn (RowIndex $row): float => $row->move, $index->rows);
    expect($carried->median)->toBe(5.25)
        ->and($moves($carried))->toEqual([-0.5, 3.0, -0.5, 1.0, -2.5, 0.5])
        // Less than a notch off may stay.
        ->and($moves($indexed))->toEqual([0.0, -3.0, 0.0, 0.0, 2.5, 0.0])
        ->and($carried->spreadBefore)->toBe(5.0);
});

it('plants all rows equally deep, set as advised, by the geometry of the stops', function (DepthStrategy $school, float $within): void {
    mt_srand(7);
    for ($case = 0; $case < 200; $case++) {
        // Each stop's scale is off by something; depth = notch size x (notch set - what the scale is off).
        $notchSize = 6.0 + mt_rand(0, 8) / 2;
        $blocks = $notchSize * mt_rand(8, 16);
        $off = array_map(fn (): float => mt_rand(-40, 40) / 10, range(1, mt_rand(1, 24)));
        $lifts = array_map(fn (float $off): float => round(2 * ($blocks / $notchSize + $off)) / 2, $off);
        $index = DepthIndex::of(array_combine(range(1, count($lifts)), $lifts), 1.0, $school);
        $depths = array_map(static fn (RowIndex $row, float $off): float => match ($school) {
            DepthStrategy::Handle => 7 + $row->move - $off,
            DepthStrategy::Reindex => 7 - ($off + $row->move),
        }, $index->rows, $off);
        // Read to half a notch, and set or moved to half a notch.
        expect(max($depths) - min($depths))->toBeLessThanOrEqual($within + 1e-9);
    }
})->with(['carried in the handle' => [DepthStrategy::Handle, 1.0], 're-indexed where over a notch off' => [DepthStrategy::Reindex, 2.5]]);

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
