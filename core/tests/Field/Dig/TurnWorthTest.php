<?php

declare(strict_types=1);

use Ustrel\Core\Field\Dig\DugAt;
use Ustrel\Core\Field\Dig\Lever;
use Ustrel\Core\Field\Dig\TurnWorth;
use Ustrel\Core\Field\Settings\SettingKey;

it('weighs the sheet’s notch against two digs, worked by hand', function (): void {
    // Sheet 6.35 +- 3.175. One notch brought 8.0 +- sqrt(2): 1 / (1/10.0806 + 1/2) = 1.6689, x (6.35/10.0806 + 8/2) = 7.7268.
    $worth = TurnWorth::of([new DugAt(3, 45.0, 1.0, []), new DugAt(3, 53.0, 1.0, ['notch' => 1.0])], 6.35);
    expect($worth->worth(Lever::Notch)->value)->toEqualWithDelta(7.7268, 1e-3)->and($worth->worth(Lever::Notch)->sd)->toEqualWithDelta(sqrt(1.6689), 1e-3)
        ->and($worth->isLearned(Lever::Notch))->toBeTrue()->and($worth->isLearned(Lever::Speed))->toBeFalse()
        ->and($worth->worth(Lever::Pound)->value)->toBe(0.0)->and(100 * $worth->worth(Lever::Pound)->sd)->toEqualWithDelta(6.35, 1e-9)
        ->and($worth->after(4))->toBeNull()->and($worth->turn(4, Lever::Notch, 50.8))->toBeNull();
    // The level of the row, by both digs: weights of a line through (0, 45) and (1, 53 - 7.7268 a notch).
    [$now, $least, $most] = $worth->after(3);
    expect($now)->toEqualWithDelta(52.86, 0.02)->and($most - $now)->toEqualWithDelta($now - $least, 1e-9)->and($most - $now)->toBeLessThan(1.645);
    // 50.8 is 2.06 mm shallower: a quarter notch, half a notch down to the nearest step is -0.5 (0.27 rounds to 0.5 at 0.25 and more).
    expect($worth->turn(3, Lever::Notch, 50.8))->toBe(-0.5)->and($worth->turn(3, Lever::Notch, 60.5))->toBe(1.0)->and($worth->turn(3, Lever::Speed, 50.8))->toBeNull();
});

it('gives the same as all digs at once', function (): void {
    // Two rows, notch and speed moved apart; solved here by the normal equations of levels, notch and speed with their priors.
    $digs = [new DugAt(1, 40.0, 1.0, []), new DugAt(2, 44.0, 2.0, []), new DugAt(1, 47.0, 1.0, ['notch' => 1.0]), new DugAt(2, 41.0, 1.0, ['speed' => 1.0]), new DugAt(1, 44.5, 1.5, ['notch' => 1.0, 'speed' => 1.0])];
    $a = array_fill(0, 4, array_fill(0, 5, 0.0));
    [$a[2][2], $a[2][4]] = [1 / 3.175 ** 2, 6.35 / 3.175 ** 2];
    $a[3][3] = 1 / 6.35 ** 2;
    foreach ($digs as $dig) {
        $x = [$dig->row === 1 ? 1.0 : 0.0, $dig->row === 2 ? 1.0 : 0.0, $dig->moved['notch'] ?? 0.0, $dig->moved['speed'] ?? 0.0];
        foreach ($x as $i => $xi) {
            foreach ($x as $j => $xj) {
                $a[$i][$j] += $xi * $xj / $dig->sd ** 2;
            }
            $a[$i][4] += $xi * $dig->depth / $dig->sd ** 2;
        }
    }
    for ($i = 0; $i < 4; $i++) {
        $pivot = $a[$i][$i];
        $a[$i] = array_map(static fn (float $of): float => $of / $pivot, $a[$i]);
        for ($k = 0; $k < 4; $k++) {
            if ($k !== $i) {
                $times = $a[$k][$i];
                $a[$k] = array_map(static fn (float $of, float $other): float => $of - $times * $other, $a[$k], $a[$i]);
            }
        }
    }
    $worth = TurnWorth::of($digs, 6.35);
    expect($worth->worth(Lever::Notch)->value)->toEqualWithDelta($a[2][4], 1e-3)->and($worth->worth(Lever::Speed)->value)->toEqualWithDelta($a[3][4], 1e-3)
        ->and($worth->after(2, ['speed' => -1.0])[0])->toEqualWithDelta($a[1][4], 1e-3);
});

it('says as sure as it is', function (float $scatter, int $passes): void {
    mt_srand(10);
    $normal = static fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    [$worthHolds, $depthHolds, $turns] = [0, 0, 400];
    for ($run = 0; $run < $turns; $run++) {
        $true = 6.35 + 3.175 * $normal();
        $mph = 6.35 * $normal();
        $digs = [];
        $levels = [1 => 40 + 8 * $normal(), 8 => 40 + 8 * $normal(), 16 => 40 + 8 * $normal()];
        $stands = array_fill_keys(array_keys($levels), ['notch' => 0.0, 'speed' => 0.0]);
        for ($pass = 0; $pass < $passes; $pass++) {
            foreach ($levels as $row => $level) {
                $digs[] = new DugAt($row, $level + $true * $stands[$row]['notch'] + $mph * $stands[$row]['speed'] + $scatter * $normal(), $scatter, $stands[$row]);
                $stands[$row]['notch'] += 0.5 * mt_rand(-2, 3);
            }
            $by = 0.5 * mt_rand(-1, 1);
            $stands = array_map(static fn (array $of): array => ['notch' => $of['notch'], 'speed' => $of['speed'] + $by], $stands);
        }
        $worth = TurnWorth::of($digs, 6.35);
        $of = $worth->worth(Lever::Notch);
        $worthHolds += abs($of->value - $true) <= 1.645 * $of->sd ? 1 : 0;
        // What it says of the next pass, where the levers stand after it was last dug.
        $last = $digs[count($digs) - 1];
        [, $least, $most] = $worth->after(16, ['notch' => $stands[16]['notch'] - $last->moved['notch'], 'speed' => $stands[16]['speed'] - $last->moved['speed']]);
        $next = $levels[16] + $true * $stands[16]['notch'] + $mph * $stands[16]['speed'];
        $depthHolds += $next >= $least && $next <= $most ? 1 : 0;
    }
    expect($worthHolds / $turns)->toBeGreaterThan(0.86)->toBeLessThan(0.94)->and($depthHolds / $turns)->toBeGreaterThan(0.86)->toBeLessThan(0.94);
})->with(['one pass' => [2.0, 1], 'two' => [1.5, 2], 'four, wild' => [4.0, 4]]);

it('reads levers from what was set', function (SettingKey $key, string $value, ?float $figure, ?array $told): void {
    expect(Lever::told($key, $value, $figure))->toEqual($told);
})->with([
    [SettingKey::DepthMark, '5', 5.0, [Lever::Notch, 5.0]], [SettingKey::Downforce, '180 lb', null, [Lever::Pound, 180.0]], [SettingKey::Downforce, '20.5 psi', null, [Lever::Psi, 20.5]],
    [SettingKey::Downforce, 'step 3', null, null], [SettingKey::Closing, 'notch 2', null, [Lever::Closing, 2.0]], [SettingKey::Closing, 'tight', null, null], [SettingKey::Speed, '4.5 mph', 4.5, [Lever::Speed, 4.5]],
    [SettingKey::Air, '18', 18.0, null],
]);
