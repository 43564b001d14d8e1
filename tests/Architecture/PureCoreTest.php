<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

it('bites: clock, randomness, I/O and globals are named, each at its line', function (): void {
    $told = new Process(['vendor/bin/phpstan', 'analyse', '-c', 'phpstan-core.neon', '--no-progress', '--error-format=raw', 'tests/Architecture/fixtures/impure.php'], dirname(__DIR__, 2), timeout: null);
    $told->run();
    preg_match_all('/impure\.php:(\d+):Core is pure: (.*?)\. Hand in/', $told->getOutput(), $found);
    $lines = [];
    foreach ($found[1] as $at => $line) {
        $lines[(int) $line] = ltrim(($lines[(int) $line] ?? '').", {$found[2][$at]}", ', ');
    }
    expect($lines)->toBe([
        10 => 'time() asks the clock', 11 => 'date() asks the clock', 12 => 'random_int() is hidden randomness', 13 => 'shuffle() is hidden randomness', 14 => 'getenv() is I/O',
        15 => 'it reads a file that does not lie beside it', 16 => 'fopen() is I/O', 17 => 'new DateTimeImmutable asks the clock', 18 => 'new DateTimeImmutable asks the clock', 19 => 'new DateTimeImmutable asks the clock',
        20 => '$_SERVER is a global, it prints', 21 => 'it runs a command',
    ]);
});
