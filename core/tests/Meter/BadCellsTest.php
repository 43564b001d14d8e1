<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Meter;

use Ustrel\Core\Meter\BadCells;
use Ustrel\Core\Meter\Drops;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\PracticeMeter;

/**
 * How often the bad cell is named in a hundred runs of 500, and how often another one.
 *
 * @return array{int, int}
 */
function namedCells(int $cells, float $missing): array
{
    $found = $falsely = 0;
    for ($run = 0; $run < 100; $run++) {
        $bad = 7 * $run % $cells;
        $meter = new PracticeMeter($cells, 900 / $cells, 5.5 + $run % 4 * 0.5, missing: $missing > 0 ? [$bad => $missing] : []);
        $times = $meter->drops(500, $run);
        $named = BadCells::of(array_map(static fn (int $seeds): bool => $seeds === 0, Drops::of($times)->seedsByPlace()), $cells)->cells;
        // Cells are counted from the first seed on.
        $cell = ($bad - (int) round($times[0] / $meter->every()) + $cells) % $cells;
        $found += isset($named[$cell]) ? 1 : 0;
        $falsely += array_diff_key($named, $missing > 0 ? [$cell => true] : []) === [] ? 0 : 1;
    }

    return [$found, $falsely];
}

it('names a cell that is plugged, and hardly ever one that is not', function (): void {
    $falsely = 0;
    foreach ([30, 60, 120] as $cells) {
        [$found, $other] = namedCells($cells, 1.0);
        expect($found)->toBeGreaterThanOrEqual(98);
        $falsely += $other + namedCells($cells, 0.0)[1];
    }
    expect($falsely)->toBeLessThan(12);
});

it('names a cell that misses half when the seeds can tell, and says how many it takes', function (): void {
    expect(namedCells(30, 0.5)[0])->toBeGreaterThanOrEqual(95)->and(namedCells(60, 0.5)[0])->toBeGreaterThanOrEqual(65)->and(namedCells(120, 0.5)[0])->toBeLessThan(65);
    $whole = array_fill(0, 500, false);
    $whole[100] = $whole[101] = $whole[230] = true;
    expect(BadCells::of($whole, 120))->cells->toBe([])->seedsToName->toBeGreaterThan(900)->toBeLessThan(1500)
        ->and(BadCells::of($whole, 30)->seedsToName)->toBeLessThan(400);
});

it('names several, one after the other, and none by a single pair', function (): void {
    $wrong = array_map(static fn (int $place): bool => in_array($place % 40, [3, 17], true), range(0, 399));
    expect(array_keys(BadCells::of($wrong, 40)->cells))->toBe([3, 17])->and(BadCells::of($wrong, 40)->cells[3])->toBe([10, 10]);
    // Two of two misses on one cell of sixty: 500 places of which the cell has 9; the chance is 9 x 8 / (500 x 499), over all cells one in sixty.
    $pair = array_map(static fn (int $place): bool => in_array($place, [5, 65], true), range(0, 499));
    expect(BadCells::of($pair, 60)->cells)->toBe([])
        ->and(fn () => BadCells::of($pair, 0))->toThrow(InvalidRun::class, '1 to 400 cells');
});
