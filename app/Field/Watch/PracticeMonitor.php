<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Models\Field\WatchRun;
use Carbon\CarbonImmutable;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\PracticeField;

/** Stands in for a row monitor: what a made-up field has told by now, in the lines that a monitor would send, faults and all. */
final class PracticeMonitor
{
    /** Its clock goes so much faster, so that nobody has to wait for what happens in a quarter of an hour. */
    private const TEMPO = 10;

    private const MOST = 900;

    private const CUT = 60;

    /** Lines since the last moment that is known, up to now. */
    public static function lines(WatchRun $run): string
    {
        $practice = $run->practice ?? ['fault' => 'none', 'number' => 1, 'rows' => [1]];
        $fault = PracticeFault::from($practice['fault']);
        $field = new PracticeField($run->planter->row_count, $practice['number'], $fault, $practice['rows']);
        $next = $run->last_ms === null ? 0 : intdiv($run->last_ms, 1000) + 1;
        $until = (int) ($run->made_at->diffInMilliseconds(CarbonImmutable::now()) / 1000 * self::TEMPO);
        $lines = [];
        for ($second = $next; $second <= min($until, $next + self::MOST); $second++) {
            $isCut = $fault === PracticeFault::Cut && $second >= PracticeField::FAULT_AFTER && $second < PracticeField::FAULT_AFTER + self::CUT;
            $line = (string) json_encode($field->at($second));
            $lines = [...$lines, ...match (true) {
                $isCut => [],
                $fault === PracticeFault::Garbled && $second % 20 === 7 => [substr($line, 0, 40), $line, $line],
                default => [$line],
            }];
        }

        return implode("\n", $lines);
    }
}
