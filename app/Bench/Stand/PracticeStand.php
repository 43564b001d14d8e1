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
    public const FAULTS = ['none', 'cut', 'doubled', 'clock', 'malformed', 'vacuum'];

    /** How long a connection that is cut stays so. */
    private const CUT_MS = 6000.0;

    private const DAY_MS = 86_400_000.0;

    private const TURNS = 30.0;

    private const AIR = 6.0;

    /** What is left of the vacuum where somebody turns it down half way. */
    private const TURNED_DOWN = 0.6;

    /** Lines since the last seed that is known, up to now. */
    public static function lines(StandRun $run): string
    {
        $practice = $run->practice ?? ['size' => 5.0, 'leak' => 0.0, 'plugged' => false, 'fault' => 'none', 'number' => 1];
        $air = (float) ($run->air ?? self::AIR);
        $meterAt = static fn (float $air): PracticeMeter => new PracticeMeter(
            $run->cells, (float) ($run->turns ?? self::TURNS), $air, $practice['size'], 0.1, 0.4 * $practice['size'],
            leak: $practice['leak'], missing: $practice['plugged'] ? [$practice['number'] % $run->cells => 1.0] : [],
        );
        $meter = $meterAt($air);
        $now = $run->started_at === null ? 0.0 : (float) $run->started_at->diffInMilliseconds(CarbonImmutable::now());
        $drops = $meter->drops($run->allPlaces(), $practice['number']);
        $half = intdiv(count($drops), 2);
        if ($practice['fault'] === 'vacuum') {
            $after = array_filter($meterAt(self::TURNED_DOWN * $air)->drops($run->allPlaces(), $practice['number']), static fn (float $ms): bool => $ms > $drops[$half - 1]);
            $drops = [...array_slice($drops, 0, $half), ...$after];
        }
        $last = $run->lastSeed();
        $isCut = $practice['fault'] === 'cut' && $drops !== [] && $now > $drops[$half] && $now < $drops[$half] + self::CUT_MS;
        $told = static fn (float $ms, bool $isLater): string => (string) json_encode(['ms' => round($ms), 'air' => round(($isLater ? self::TURNED_DOWN : 1.0) * $air + 0.1 * sin($ms / 3000), 1)]);
        $isTurned = static fn (int $at): bool => $practice['fault'] === 'vacuum' && $at >= $half;
        $lines = [$told($now, $isTurned($last))];
        foreach ($isCut ? [] : array_slice($drops, $last, preserve_keys: true) as $at => $ms) {
            if ($ms > $now) {
                break;
            }
            if ($at === $half && $isTurned($at)) {
                $lines[] = $told($ms, true);
            }
            $lines = [...$lines, ...self::told($practice['fault'], $at, $at >= $half && $practice['fault'] === 'clock' ? $ms + self::DAY_MS : $ms)];
        }
        if (! $isCut && $now > $run->allPlaces() * $meter->every() + 500) {
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
