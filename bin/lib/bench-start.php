<?php

declare(strict_types=1);

// Starts Ustrel as a newcomer does, the first time and again, and stops it: part of bin/bench.

use Symfony\Component\Process\Process;

require_once __DIR__.'/../../tests/Start/running.php';

/**
 * How long a first start takes, one again with the data kept, and stopping, each to one console command of the same run.
 *
 * @return array{first: float, again: float, stop: float}
 */
function starts(): array
{
    $settings = ['USTREL_DATA' => dataFolder(), 'USTREL_PORT' => (string) freePort()];
    $timed = static function (callable $what): float {
        $start = hrtime(true);
        $what();

        return (hrtime(true) - $start) / 1e9;
    };
    try {
        $command = median(array_map(static fn (): float => $timed(static fn () => (new Process(['php', __DIR__.'/../../artisan', 'list']))->mustRun()), range(1, 5)));
        $told = ['stop' => INF];
        foreach (['first', 'again'] as $time) {
            $process = null;
            $told[$time] = $timed(static function () use ($settings, &$process): void {
                $process = start($settings);
                $process->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
            }) / $command;
            $told['stop'] = $timed(static function () use ($process): void {
                $process?->signal(SIGINT);
                $process?->wait();
            }) / $command;
        }
    } finally {
        endAll();
    }

    return $told;
}
