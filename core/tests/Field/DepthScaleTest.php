<?php

declare(strict_types=1);

use Ustrel\Core\Field\BladeDepth;
use Ustrel\Core\Field\MarkToDepth;
use Ustrel\Core\Field\TooFewMarks;
use Ustrel\Core\Measure\Student;

it('knows the quantiles of Student\'s t as the tables have them', function (float $share, int $degrees, float $value): void {
    expect(Student::quantile($share, $degrees))->toEqualWithDelta($value, 0.0006)
        ->and(Student::quantile(1 - $share, $degrees))->toEqualWithDelta(-$value, 0.0006);
})->with([
    [0.95, 1, 6.314], [0.975, 1, 12.706], [0.95, 2, 2.920], [0.975, 2, 4.303], [0.95, 3, 2.353], [0.975, 4, 2.776],
    [0.95, 5, 2.015], [0.995, 8, 3.355], [0.95, 9, 1.833], [0.975, 30, 2.042], [0.975, 121, 1.980],
]);

it('draws a line through two digs, and says nothing of its error', function (): void {
    $scale = MarkToDepth::fit([[2.0, 30.0], [6.0, 54.0]]);
    expect($scale->depthAt(0))->toEqualWithDelta(18, 1e-9)
        ->and($scale->depthAt(4))->toEqualWithDelta(42, 1e-9)
        ->and($scale->markFor(48))->toEqualWithDelta(5, 1e-9)
        ->and($scale->sd)->toBeNull()
        ->and($scale->interval(4))->toBeNull();
});

it('draws the line of least squares through more, with its interval', function (): void {
    // By hand: means 3 and 40, spread 10, slope 60 / 10 = 6, residuals -1, 2, 0, -2, 1: sd = sqrt(10 / 3).
    $scale = MarkToDepth::fit([[1.0, 27.0], [2.0, 36.0], [3.0, 40.0], [4.0, 44.0], [5.0, 53.0]]);
    expect($scale->depthAt(3))->toEqualWithDelta(40, 1e-9)
        ->and($scale->depthAt(5))->toEqualWithDelta(52, 1e-9)
        ->and($scale->sd)->toEqualWithDelta(sqrt(10 / 3), 1e-9);
    // 2.353 x sd x sqrt(1 + 1/5) in the middle, sqrt(1 + 1/5 + 4/10) at the end.
    [$low, $high] = $scale->interval(3);
    expect($high - 40)->toEqualWithDelta(2.3534 * sqrt(10 / 3) * sqrt(1.2), 0.001)->and(40 - $low)->toEqualWithDelta($high - 40, 1e-9)
        ->and($scale->interval(5)[1] - 52)->toEqualWithDelta(2.3534 * sqrt(10 / 3) * sqrt(1.6), 0.001);
});

it('holds nine in ten new digs within the interval, however few there were', function (int $digs): void {
    mt_srand(7 + $digs);
    $bell = static fn (): float => sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    $within = 0;
    for ($try = 0; $try < 2000; $try++) {
        $seen = array_map(fn (int $nth): array => [$nth % 4 + 1.0, 20 + 7 * ($nth % 4 + 1) + 3 * $bell()], range(0, $digs - 1));
        [$low, $high] = MarkToDepth::fit($seen)->interval(3.0);
        $new = 20 + 7 * 3 + 3 * $bell();
        $within += $new >= $low && $new <= $high ? 1 : 0;
    }
    expect($within / 2000)->toBeBetween(0.88, 0.92);
})->with([3, 5, 12]);

it('draws no line through digs at one mark, or where the mark does nothing', function (array $digs): void {
    MarkToDepth::fit($digs);
})->with([[[]], [[[2.0, 30.0]]], [[[2.0, 30.0], [2.0, 33.0]]], [[[2.0, 30.0], [4.0, 30.0]]]])->throws(TooFewMarks::class);

it('gives back in the handle what mixed blades differ by, to half a notch', function (): void {
    // A disc of radius r whose axle stands h over the ground cuts r - h deep: half the loss of diameter is what is lost.
    $cut = fn (float $diameter, float $set): float => $diameter / 2 - 150 + $set;
    $blades = [1 => 381.0, 2 => 368.3, 3 => 374.65, 4 => 381.0, 5 => 370.0];
    expect(BladeDepth::lost(381, 368.3))->toEqualWithDelta(6.35, 1e-9);
    $moves = BladeDepth::moves($blades, 6.35);
    expect($moves[1])->toBe($moves[4])->and($moves[3])->toBe(0.0);
    $depths = array_map(fn (int $row): float => $cut($blades[$row], 6.35 * $moves[$row]), array_keys($blades));
    expect(max($depths) - min($depths))->toBeLessThanOrEqual(6.35 / 2 + 1e-9);
});
