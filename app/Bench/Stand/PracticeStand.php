<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use App\Models\Bench\StandRun;
use Carbon\CarbonImmutable;
use Ustrel\Core\Meter\PracticeMeter;

/**
 * Stands in for a test stand: what a made-up meter has dropped by now is told in the lines that a stand would send, faults and
 * all. It keeps nothing of its own: the same run tells the same whenever it is asked.
 */
final class PracticeStand
{
    /** Faults that can be switched on. */
    public const FAULTS = ['none', 'cut', 'doubled', 'clock', 'malformed'];

    /** How long a connection that is cut stays so. */
    private const CUT_MS = 6000.0;

    private const DAY_MS = 86_400_000.0;

    private const TURNS = 30.0;

    private const AIR = 6.0;

    /** Lines since the last seed that is known, up to now. */
    public static function lines(StandRun $run): string
    {
        $practice = $run->practice ?? ['size' => 5.0, 'leak' => 0.0, 'plugged' => false, 'fault' => 'none', 'number' => 1];
        $air = (float) ($run->air ?? self::AIR);
        $meter = new PracticeMeter(
            $run->cells, (float) ($run->turns ?? self::TURNS), $air, $practice['size'], 0.1, 0.4 * $practice['size'],
            leak: $practice['leak'], missing: $practice['plugged'] ? [$practice['number'] % $run->cells => 1.0] : [],
        );
        $now = $run->started_at === null ? 0.0 : (float) $run->started_at->diffInMilliseconds(CarbonImmutable::now());
        $drops = $meter->drops($run->places, $practice['number']);
        $half = intdiv(count($drops), 2);
        $last = $run->lastSeed();
        $isCut = $practice['fault'] === 'cut' && $drops !== [] && $now > $drops[$half] && $now < $drops[$half] + self::CUT_MS;
        $lines = [json_encode(['ms' => round($now), 'air' => round($air + 0.1 * sin($now / 3000), 1)])];
        foreach ($isCut ? [] : array_slice($drops, $last, preserve_keys: true) as $at => $ms) {
            if ($ms > $now) {
                break;
            }
            $lines = [...$lines, ...self::told($practice['fault'], $at, $at >= $half && $practice['fault'] === 'clock' ? $ms + self::DAY_MS : $ms)];
        }
        if (! $isCut && $now > $run->places * $meter->every() + 500) {
            $lines[] = '{"end":true}';
        }

        return implode("\n", $lines);
    }

    /** @return list<string> */
    private static function told(string $fault, int $at, float $ms): array
    {
        $line = (string) json_encode(['seq' => $at + 1, 'ms' => round($ms, 1)]);

        return match (true) {
            $fault === 'doubled' && $at % 20 === 7 => [$line, $line],
            $fault === 'malformed' && $at % 50 === 7 => [substr($line, 0, 9), $line],
            default => [$line],
        };
    }
}
