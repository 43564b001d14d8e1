<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Watch\Drift\Blame;
use Ustrel\Core\Field\Watch\Drift\DriftThresholds;

it('has thresholds near those of the book where blocks are independent and what is usual is known', function (float $allowance, float $blocks): void {
    // Siegmund (1985): blocks to a false alarm = (exp(2k(h + 1.166)) - 2k(h + 1.166) - 1) / 2k². Learning what is usual moves them a little.
    $book = static function (float $threshold) use ($allowance): float {
        $b = $threshold + 1.166;

        return (exp(2 * $allowance * $b) - 2 * $allowance * $b - 1) / (2 * $allowance ** 2);
    };
    $threshold = DriftThresholds::typical()->of($allowance, 0.93)->height(log($blocks));
    expect(log($book($threshold)))->toEqualWithDelta(log($blocks), 0.9);
})->with([[0.5, 5e3], [0.5, 5e4], [0.7, 5e3], [0.7, 5e4], [1.0, 5e3], [1.0, 5e4]]);

it('asks for more the more blocks hang together, the rarer a false alarm is to be, and the less is sought', function (): void {
    $of = DriftThresholds::typical();
    foreach ([0.25, 0.35, 0.5, 0.7, 1.0] as $allowance) {
        for ($ratio = 0.6; $ratio < 6; $ratio += 0.4) {
            expect($of->of($allowance, $ratio + 0.4)->height(14))->toBeGreaterThan($of->of($allowance, $ratio)->height(14))->and($of->of($allowance, $ratio)->height(16))->toBeGreaterThan($of->of($allowance, $ratio)->height(14));
        }
    }
    expect($of->of(0.25, 2)->height(14))->toBeGreaterThan($of->of(1.0, 2)->height(14))->and($of->allowance(0.6))->toBe(0.7)->and($of->allowance(9.0))->toBe(1.0)->and($of->allowance(0.01))->toBe(0.25);
});

it('blames what a least-squares fit of all candidates does', function (): void {
    $random = new Randomizer(new Mt19937(8));
    $groups = [[1, 2, 3, 4], [5, 6, 7, 8, 9, 10, 11, 12], [13, 14, 15, 16], [1, 2, 3, 4, 5, 6]];
    for ($of = 0; $of < 200; $of++) {
        $true = $of % 2 === 0 ? [$random->getInt(1, 16)] : $groups[$random->getInt(0, 3)];
        $off = $weights = [];
        foreach (range(1, 16) as $row) {
            $off[$row] = (in_array($row, $true, true) ? -2.0 : 0.0) + ($random->getInt(-100, 100) / 200);
            $weights[$row] = $random->getInt(8, 12) / 2;
        }
        // By brute force: what is left over after each candidate has been given the step that fits it best.
        $left = static function (array $rows) use ($off, $weights): float {
            $sum = 0.0;
            foreach ([true, false] as $is) {
                $side = array_filter($off, static fn (int $row): bool => in_array($row, $rows, true) === $is, ARRAY_FILTER_USE_KEY);
                $mean = array_sum(array_map(static fn (int $row): float => $weights[$row] * $off[$row], array_keys($side))) / array_sum(array_intersect_key($weights, $side));
                $sum += array_sum(array_map(static fn (int $row): float => $weights[$row] * ($off[$row] - $mean) ** 2, array_keys($side)));
            }

            return $sum;
        };
        $candidates = [...array_map(static fn (int $row): array => [$row], range(1, 16)), ...$groups];
        usort($candidates, static fn (array $a, array $b): int => $left($a) <=> $left($b));
        expect(Blame::of($off, $weights, $groups, 0.0, false)[0])->toBe($candidates[0]);
    }
});

it('lets a lean be nobody’s fault where there are curves, and finds who is off beside it', function (): void {
    $rows = range(1, 16);
    $lean = array_combine($rows, array_map(static fn (int $row): float => 0.1 * ($row - 8.5), $rows));
    $weights = array_fill_keys($rows, 20.0);
    $groups = [[1, 2, 3, 4, 5, 6, 7, 8], [9, 10, 11, 12, 13, 14, 15, 16]];
    expect(Blame::of($lean, $weights, $groups, 0.0, false)[0])->toHaveCount(8)->and(Blame::of($lean, $weights, $groups, 0.0, true)[2])->toEqualWithDelta(0, 1e-9);
    $lean[11] -= 1.0;
    expect(Blame::of($lean, $weights, $groups, 0.0, true)[0])->toBe([11]);
    // Two halves explain the same; the one that has moved is to blame.
    $step = array_combine($rows, array_map(static fn (int $row): float => $row <= 8 ? -0.5 : 0.5, $rows));
    expect(Blame::of($step, $weights, $groups, -0.5, false)[1])->toBe(0)->and(Blame::of($step, $weights, $groups, 0.5, false)[1])->toBe(1);
});
