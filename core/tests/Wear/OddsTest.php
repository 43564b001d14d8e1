<?php

declare(strict_types=1);

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Forecaster;
use Ustrel\Core\Wear\Item;
use Ustrel\Core\Wear\OwnRate;
use Ustrel\Core\Wear\Point;
use Ustrel\Core\Wear\ReadingError;
use Ustrel\Core\Wear\Spread;
use Ustrel\Core\Wear\WearPath;

/*
 * Planters whose truth is known, in worlds that the program does not assume: the tape is off by as much as it likes, rates
 * scatter in two shapes, planters were bought used or new, a fifth have a slip of the hand or two. The program is told what it
 * would be told: what was read, to which mark, after how many acres.
 */

/** A value about normal, mean 0, SD 1. */
function chanceDraw(): float
{
    return sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
}

function between(float $low, float $high): float
{
    return $low + ($high - $low) * mt_rand() / mt_getrandmax();
}

/**
 * @template T
 *
 * @param  list<T>  $from
 * @return T
 */
function oneOf(array $from): mixed
{
    return $from[mt_rand(0, count($from) - 1)];
}

/** @return array{error: float, step: float, readings: int, mixed: bool, scatter: float, slips: int, skewed: bool, used: bool, rows: int} */
function world(): array
{
    return [
        'error' => oneOf([0.8, 1.0, 1.2, 1.5]), 'step' => oneOf([25.4 / 16, 25.4 / 8]), 'readings' => mt_rand(1, 3), 'mixed' => mt_rand(0, 1) === 1,
        'scatter' => oneOf([0.1, 0.2, 0.3, 0.4]), 'slips' => mt_rand(1, 5) === 1 ? mt_rand(1, 2) : 0, 'skewed' => mt_rand(0, 1) === 1,
        'used' => mt_rand(1, 4) === 1, 'rows' => oneOf([4, 6, 8, 12, 16, 24]),
    ];
}

/** @return array{world: array<string, mixed>, items: list<Item>, truth: array<array{float, float}>, slipped: array<string, true>, mean: float, planned: float} */
function planterOf(float $error, WearPath $path): array
{
    $world = ['error' => $error] + world();
    $mean = $path->nominalRate() * exp(0.35 * chanceDraw());
    $season = oneOf([60_000, 120_000, 200_000]);
    $planned = $season * oneOf([0.5, 1.0, 1.5, 2.0]);
    $tolerance = oneOf([0.6, 0.8, 1.0]);
    $slips = $world['slips'];
    $items = $truth = $slipped = [];
    for ($part = 0; $part < 2 * $world['rows']; $part++) {
        do {
            $rate = $mean * ($world['skewed'] ? exp($world['scatter'] * chanceDraw() - $world['scatter'] ** 2 / 2) : 1 + $world['scatter'] * chanceDraw());
        } while ($rate <= 0);
        $start = $world['used'] ? 12.7 * between(0.6, 1.0) : 12.7 + $tolerance * chanceDraw();
        $count = ($world['mixed'] ? mt_rand(1, $world['readings']) : $world['readings']) + ($world['used'] ? 1 : 0);
        $use = $world['used'] ? -$season * between(0.7, 1.3) : 0.0;
        $points = [];
        for ($reading = 0; $reading < $count; $reading++) {
            $use = max(0.0, $use + $season * between(0.7, 1.3));
            $use = $world['used'] && $reading === 0 ? 0.0 : $use;
            $size = 368.3 + $start - $rate * $use + $world['error'] * chanceDraw();
            $key = "{$part} {$reading}";
            if ($slips > 0 && mt_rand(1, $world['rows']) === 1) {
                $size += oneOf([-1, 1]) * oneOf([6.35, 12.7, 25.4]);
                $slipped[$key] = true;
                $slips--;
            }
            $points[] = new Point($key, $use, $path->room(round($size / $world['step']) * $world['step']), $world['step']);
        }
        $items[] = $world['used'] ? Item::found("{$part}", $points, $use) : Item::fitted("{$part}", 12.7, $points, $use);
        $truth["{$part}"] = [$rate, max(0.0, ($start - $rate * $use) / $rate)];
    }

    return ['world' => $world, 'items' => $items, 'truth' => $truth, 'slipped' => $slipped, 'mean' => $mean, 'planned' => $planned];
}

it('holds the truth as often as it says, by group, and tells chances that come true', function (): void {
    mt_srand(20261125);
    $path = new WearPath(true, 368.3, 381, 12.7, FurrowDistance::ofMiles(500));
    $prior = ReadingError::of(CheckKey::from('opener_blade_diameter'));
    $held = $tenths = [];
    $pooled = $alone = $good = $doubted = 0;
    // A shop measures all its planters with the same hands; what it reads of one tells of the others.
    for ($shop = 0; $shop < 700; $shop++) {
        $hands = oneOf([0.8, 1.0, 1.2, 1.5]);
        $planters = array_map(static fn (): array => planterOf($hands, $path), range(1, 3));
        $error = $prior->pooled(array_map(static fn (array $planter): Spread => $prior->spread($planter['items']), $planters));
        foreach ($planters as ['world' => $world, 'items' => $items, 'truth' => $truth, 'slipped' => $slipped, 'mean' => $mean, 'planned' => $planned]) {
            $good += array_sum(array_map(static fn (Item $item): int => count($item->points), $items)) - count($slipped);
            foreach ((new Forecaster($path, $error, learns: false))->of($items, $planned) as $key => $forecast) {
                [$rate, $left] = $truth[$key];
                $doubted += count(array_filter($forecast->outliers, static fn (string $reading): bool => ! isset($slipped[$reading])));
                $tenth = min(9, (int) floor(10 * $forecast->chance));
                $tenths[$tenth][] = [$forecast->chance, $left <= $planned ? 1 : 0];
                $own = OwnRate::of($items[(int) $key], $error);
                if ($own !== null) {
                    $pooled += abs($forecast->belief->rate - $rate) / $mean;
                    $alone += abs($own->rate() - $rate) / $mean;
                }
                if ($left <= 0 && $forecast->left90 === 0.0) {
                    continue;
                }
                $inside = $left >= $forecast->left10 && $left <= ($forecast->left90 ?? INF) ? 1 : 0;
                $groups = ['all', "error {$world['error']}", 'step '.round($world['step'], 2), "readings {$world['readings']}", "scatter {$world['scatter']}", 'slips '.($world['slips'] > 0 ? 'some' : 'none')];
                foreach ($groups as $group) {
                    $held[$group][] = $inside;
                }
            }
        }
    }
    foreach ($held as $group => $inside) {
        [$low, $high] = $group === 'all' ? [0.77, 0.83] : [0.715, 0.87];
        expect(array_sum($inside) / count($inside))->toBeBetween($low, $high, "{$group}, of ".count($inside));
    }
    $off = array_map(static fn (array $told): float => abs(array_sum(array_column($told, 0)) - array_sum(array_column($told, 1))) / count($told), $tenths);
    expect(array_sum($off) / count($off))->toBeLessThan(0.05)
        ->and($pooled / $alone)->toBeLessThan(0.85)
        ->and($doubted / $good)->toBeLessThan(0.002);
});
