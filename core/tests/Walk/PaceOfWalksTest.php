<?php

declare(strict_types=1);

use Ustrel\Core\Walk\Pace;

/**
 * @param  list<array{int, bool}>  $gaps  seconds before each reading, and whether it is a figure
 * @return list<array{int, bool}>
 */
function walked(array $gaps): array
{
    $at = 1_000;
    $taken = [[$at, false]];
    foreach ($gaps as [$gap, $isFigure]) {
        $taken[] = [$at += $gap, $isFigure];
    }

    return $taken;
}

it('tells what a figure and what a look take, each gap for the reading that ends it', function (): void {
    // 20 figures of 10 s; 20 looks of which a station's four come at one tap after 8 s: 2 s each.
    $walk = walked([...array_fill(0, 20, [10, true]), ...array_merge(...array_fill(0, 5, [[8, false], [0, false], [0, false], [0, false]]))]);
    expect(Pace::ofWalks([$walk]))->toBe(['figure' => 10.0, 'look' => 2.0, 'own' => true])
        // In another order it is the same.
        ->and(Pace::ofWalks([array_reverse($walk)]))->toBe(['figure' => 10.0, 'look' => 2.0, 'own' => true]);
});

it('leaves breaks out, and walks that were typed off paper or imported', function (): void {
    $walk = walked([...array_fill(0, 20, [10, true]), ...array_fill(0, 20, [4, false])]);
    $paused = walked([...array_fill(0, 20, [10, true]), [601, true], ...array_fill(0, 20, [4, false]), [3_600, false]]);
    $imported = walked(array_fill(0, 400, [0, true]));
    expect(Pace::ofWalks([$walk, $imported]))->toBe(['figure' => 10.0, 'look' => 4.0, 'own' => true])
        ->and(Pace::ofWalks([$paused]))->toBe(['figure' => 10.0, 'look' => 4.0, 'own' => true]);
});

it('is typical where the shop has walked too little', function (array $walks): void {
    expect(Pace::ofWalks($walks))->toBe(['figure' => 12.0, 'look' => 3.0, 'own' => false]);
})->with([
    'nothing' => [[]],
    'no looks' => [[walked(array_fill(0, 50, [10, true]))]],
    'nineteen figures' => [[walked([...array_fill(0, 19, [10, true]), ...array_fill(0, 50, [4, false])])]],
]);
