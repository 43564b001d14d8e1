<?php

declare(strict_types=1);

// Makes core/field/drift.json, in a few minutes: php -d opcache.enable_cli=1 -d opcache.jit=tracing core/field/drift.php > core/field/drift.json
//
// A standardised CUSUM is let run over made-up rows on which nothing is wrong, as the row watch runs it: days of 1,500 blocks that hang
// together (AR(1), from -0.3 to 0.8), each held against the row's own past. Counted is how often it goes over each of several thresholds;
// between and beyond them a threshold is a straight line of the logarithm of the blocks to a false alarm.

use Ustrel\Core\Field\Watch\Drift\RowScatter;
use Ustrel\Core\Field\Watch\Drift\Stream;

require __DIR__.'/../../vendor/autoload.php';

const DAY = 1500;
const WAITS = 6;

$steps = (int) ($argv[1] ?? 6_000_000);
mt_srand(7);
$lines = [];
foreach ([-0.3, 0.0, 0.15, 0.3, 0.45, 0.6, 0.7, 0.8] as $rho) {
    $long = (1 + $rho) / (1 - $rho);
    $sums = $over = [];
    foreach ([0.25, 0.35, 0.5, 0.7, 1.0] as $allowance) {
        for ($step = 0; $step < 18; $step++) {
            $over[] = ['allowance' => $allowance, 'threshold' => $long / (2 * $allowance) * (2.2 + 0.5 * $step), 'alarms' => 0];
            $sums[] = 0.0;
        }
    }
    $scatter = RowScatter::believed(1.0);
    $figure = 0.0;
    for ($at = 0; $at < $steps; $at++) {
        if ($at % DAY === 0) {
            $stream = new Stream;
            $sums = array_map(static fn (): float => 0.0, $sums);
        }
        $normal = sqrt(-2 * log((mt_rand() + 1) / 2147483649)) * cos(2 * M_PI * mt_rand() / 2147483648);
        $figure = $rho * $figure + sqrt(1 - $rho ** 2) * $normal;
        $z = $stream->take($figure, $scatter, true);
        if ($z === null) {
            continue;
        }
        foreach ($over as $number => $of) {
            $sum = max(0.0, $sums[$number] + $z - $of['allowance']);
            if ($sum > $of['threshold'] && $stream->count >= WAITS) {
                $over[$number]['alarms']++;
                $sum = 0.0;
            }
            $sums[$number] = $sum;
        }
    }
    foreach ([0.25, 0.35, 0.5, 0.7, 1.0] as $allowance) {
        $points = [];
        foreach ($over as $of) {
            if ($of['allowance'] === $allowance && $of['alarms'] >= 30 && $steps / $of['alarms'] >= 1000) {
                $points[] = [log($steps / $of['alarms']), $of['threshold']];
            }
        }
        [$logs, $thresholds] = [array_column($points, 0), array_column($points, 1)];
        [$log, $threshold] = [array_sum($logs) / count($logs), array_sum($thresholds) / count($thresholds)];
        $products = $squares = 0.0;
        foreach ($points as [$ofLog, $ofThreshold]) {
            $products += ($ofLog - $log) * ($ofThreshold - $threshold);
            $squares += ($ofLog - $log) ** 2;
        }
        $lines[] = ['allowance' => $allowance, 'ratio' => round($scatter->ratio(), 3), 'from' => round($threshold - $products / $squares * $log, 3), 'per_log' => round($products / $squares, 3)];
    }
}
usort($lines, static fn (array $a, array $b): int => [$a['allowance'], $a['ratio']] <=> [$b['allowance'], $b['ratio']]);
echo json_encode(['thresholds' => $lines], JSON_PRETTY_PRINT), "\n";
