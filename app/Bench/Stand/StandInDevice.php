<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use Closure;
use Illuminate\Support\Sleep;
use Ustrel\Core\Meter\PracticeMeter;

/** Speaks as a test stand would: asks what is to be run, runs it on a made-up meter, and goes on where it was cut off. */
final readonly class StandInDevice
{
    private const TURNS = 30.0;

    private const AIR = 6.0;

    /** Milliseconds from one delivery to the next. */
    private const EVERY = 500;

    private const AWAY_MS = 2000;

    /**
     * @param  float  $size  of the made-up seed, millimetres
     * @param  Closure(string): void  $say
     */
    public function __construct(
        private DeviceLine $line,
        private float $size,
        private Closure $say,
    ) {
    }

    /**
     * @param  int  $runs  then it stops; 0 for until it is stopped
     * @return bool false where its token is none
     */
    public function work(int $runs): bool
    {
        for ($done = 0; $runs === 0 || $done < $runs;) {
            $hello = $this->line->sent('stand/hello', '');
            if ($hello?->status() === 401) {
                return false;
            }
            /** @var array{id: string, cells: int, turns: float|null, air: float|null, places: int, next: int, row: int}|null $run */
            $run = $hello?->json('run');
            if ($run === null) {
                Sleep::for($hello === null ? self::AWAY_MS : self::EVERY)->milliseconds();

                continue;
            }
            ($this->say)(__('stand_in.row', ['row' => $run['row'], 'from' => $run['next']]));
            $done += $this->run($run) ? 1 : 0;
        }

        return true;
    }

    /**
     * @param  array{id: string, cells: int, turns: float|null, air: float|null, places: int, next: int}  $run
     * @return bool whether it came to its end
     */
    private function run(array $run): bool
    {
        $air = (float) ($run['air'] ?? self::AIR);
        $meter = new PracticeMeter($run['cells'], (float) ($run['turns'] ?? self::TURNS), $air, $this->size, 0.1, 0.4 * $this->size);
        // The same run is the same whenever it goes on.
        $drops = $meter->drops($run['places'], crc32($run['id']));
        $next = $run['next'];
        for ($now = $drops[$next - 2] ?? 0.0; ; $now += self::EVERY) {
            $lines = [(string) json_encode(['ms' => $now, 'air' => $air, 'rpm' => (float) ($run['turns'] ?? self::TURNS)])];
            for (; isset($drops[$next - 1]) && $drops[$next - 1] <= $now; $next++) {
                $lines[] = (string) json_encode(['seq' => $next, 'ms' => round($drops[$next - 1], 1)]);
            }
            $isEnd = ! isset($drops[$next - 1]);
            $answer = $this->line->sent("stand/runs/{$run['id']}", implode("\n", $isEnd ? [...$lines, '{"end":true}'] : $lines));
            if ($answer === null || ! $answer->successful() || $isEnd) {
                // Cut off, stopped or done: it asks again.
                return $isEnd && $answer?->successful() === true;
            }
            Sleep::for(self::EVERY)->milliseconds();
        }
    }
}
