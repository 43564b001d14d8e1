<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use App\Record\Refused;

/** Seed times as files have them: a time a line in milliseconds, or as JSON objects with `ms`. */
final class SeedTimes
{
    public const MOST_BYTES = 2_000_000;

    private const MOST = 20_000;

    /**
     * @param  string  $text  of the file
     * @return string the lines that a stand would have sent
     *
     * @throws Refused with the line that cannot be read
     */
    public static function lines(string $text): string
    {
        $lines = preg_split('/\r\n|\n|\r/', trim((string) preg_replace('/^\xEF\xBB\xBF/', '', $text))) ?: [];
        if (count($lines) > self::MOST) {
            throw Refused::because('times', 'stand.many', ['most' => self::MOST]);
        }
        $told = [];
        $before = 0.0;
        foreach ($lines as $number => $line) {
            $ms = self::ms($line);
            if ($ms === null) {
                // What stands over the column.
                if ($number === 0 && preg_match('/^["\p{L}][\p{L} _().",;]*$/u', trim($line)) === 1) {
                    continue;
                }
                throw Refused::because('times', 'stand.no_time', ['line' => $number + 1, 'text' => mb_strimwidth(mb_scrub($line), 0, 60, '…')]);
            }
            if ($ms < $before) {
                throw Refused::because('times', 'stand.backwards', ['line' => $number + 1]);
            }
            $before = $ms;
            $told[] = (string) json_encode(['seq' => count($told) + 1, 'ms' => $ms]);
        }

        return implode("\n", $told);
    }

    /** The last column that is a number; a comma between digits is a decimal one. */
    private static function ms(string $line): ?float
    {
        $line = trim($line);
        if (str_starts_with($line, '{')) {
            $ms = json_decode($line, true)['ms'] ?? null;

            return (is_int($ms) || is_float($ms)) && $ms >= 0 ? (float) $ms : null;
        }
        $columns = array_map(static fn (string $of): string => trim($of, " \t\""), preg_split('/[;\t]|,(?=\s)/', $line) ?: []);
        $last = $columns[array_key_last($columns)] ?? '';

        return match (true) {
            preg_match('/^\d{1,9}([.,]\d{1,6})?$/D', $last) === 1 => (float) strtr($last, ',', '.'),
            preg_match('/^\d{1,6},(\d{1,9}(\.\d{1,6})?)$/D', $last, $parts) === 1 => (float) $parts[1],
            default => null,
        };
    }
}
