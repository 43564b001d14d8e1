<?php

declare(strict_types=1);

use Ustrel\Core\Meter\RunPart;

/**
 * A seed each 50 ms.
 *
 * @param  list<float|null>  $airs
 * @return list<array{float, float|null}>
 */
function seedsAt(array $airs): array
{
    return array_map(static fn (?float $air, int $at): array => [50.0 * $at, $air], $airs, array_keys($airs));
}

/**
 * @param  list<array{float, float|null}>  $seeds
 * @return list<array{int, float|null}> seeds and vacuum of each part
 */
function partsOf(array $seeds, int $runIn = 0): array
{
    return array_map(static fn (RunPart $of): array => [count($of->times), $of->air], RunPart::of($seeds, $runIn));
}

it('splits a run where the vacuum was changed, each part with its own', function (): void {
    expect(partsOf(seedsAt([...array_fill(0, 200, 14.0), ...array_fill(0, 150, 9.0)])))->toBe([[200, 14.0], [150, 9.0]])
        ->and(RunPart::of(seedsAt([...array_fill(0, 200, 14.0), ...array_fill(0, 150, 9.0)]))[1]->times[0])->toBe(10_000.0)
        ->and(partsOf(seedsAt([...array_fill(0, 100, 6.0), ...array_fill(0, 100, 8.0), ...array_fill(0, 100, 6.0)])))->toBe([[100, 6.0], [100, 8.0], [100, 6.0]]);
});

it('leaves out the seeds that dropped while the vacuum moved', function (): void {
    // Down by a fifth of an inch a seed: the first two or three are still within the swing of each level.
    $ramp = array_map(static fn (int $at): float => 14.0 - 0.2 * $at, range(1, 24));
    [$before, $after] = partsOf(seedsAt([...array_fill(0, 100, 14.0), ...$ramp, ...array_fill(0, 100, 9.0)]));
    expect($before[0])->toBeGreaterThanOrEqual(100)->toBeLessThanOrEqual(106)->and($after[0])->toBeGreaterThanOrEqual(100)->toBeLessThanOrEqual(104)
        ->and([$before[1], $after[1]])->toBe([14.0, 9.0]);
});

it('takes a swing of the gauge, or a short one of the vacuum, for no change', function (): void {
    mt_srand(7);
    $swinging = array_map(static fn (): float => 14.0 + mt_rand(-100, 100) / 100, range(1, 400));
    expect(partsOf(seedsAt($swinging)))->toHaveCount(1)
        // A second and a half at another vacuum: 29 seeds.
        ->and(partsOf(seedsAt([...array_fill(0, 100, 14.0), ...array_fill(0, 29, 10.0), ...array_fill(0, 100, 14.0)])))->toBe([[229, 14.0]])
        ->and(partsOf(seedsAt([...array_fill(0, 100, 14.0), ...array_fill(0, 30, 10.0), ...array_fill(0, 100, 14.0)])))->toBe([[100, 14.0], [30, 10.0], [100, 14.0]])
        // Half an inch is within what a gauge shows at 5 in, a little more is not.
        ->and(partsOf(seedsAt([...array_fill(0, 100, 5.0), ...array_fill(0, 100, 5.5)])))->toHaveCount(1)
        ->and(partsOf(seedsAt([...array_fill(0, 100, 5.0), ...array_fill(0, 100, 5.6)])))->toHaveCount(2);
});

it('leaves out a vacuum that left its level and never settled', function (): void {
    $falling = array_map(static fn (int $at): float => 13.0 - 0.1 * $at, range(1, 60));
    $of = partsOf(seedsAt([...array_fill(0, 100, 14.0), ...$falling]));
    expect($of)->toHaveCount(1)->and($of[0][0])->toBeLessThanOrEqual(102);
});

it('lets what was told last stand until the stand tells again, and leaves out the run-in', function (): void {
    expect(partsOf(seedsAt([null, null, 6.1, null, null])))->toBe([[5, 6.1]])
        ->and(partsOf(seedsAt([null, null, null])))->toBe([[3, null]])
        ->and(partsOf(seedsAt([...array_fill(0, 50, 9.0), ...array_fill(0, 100, 6.0)]), 50))->toBe([[100, 6.0]])
        ->and(RunPart::of(seedsAt([6.0, 6.0, 6.0]), 1)[0]->times)->toBe([50.0, 100.0])
        ->and(RunPart::of([], 0))->toBe([])
        ->and(RunPart::of(seedsAt([6.0]), 5))->toBe([]);
});
