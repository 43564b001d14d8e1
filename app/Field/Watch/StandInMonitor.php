<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Bench\Stand\DeviceLine;
use Closure;
use Illuminate\Support\Sleep;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\PracticeField;

/** Speaks as a row monitor would: asks which planter is watched, tells of a made-up field, and goes on where it was cut off. */
final readonly class StandInMonitor
{
    private const AWAY_MS = 2000;

    /** Milliseconds from one delivery to the next. */
    private const EVERY = 1000;

    /** @param  Closure(string): void  $say */
    public function __construct(
        private DeviceLine $line,
        private PracticeFault $fault,
        private int $tempo,
        private Closure $say,
    ) {
    }

    /**
     * @param  int  $seconds  of the field, then it stops; 0 for until the run is over
     * @return bool false where its token is none
     */
    public function work(int $seconds): bool
    {
        for (; ;) {
            $hello = $this->line->sent('monitor/hello', '');
            if ($hello?->status() === 401) {
                return false;
            }
            /** @var array{id: string, rows: int, planter: string, last: int|null}|null $run */
            $run = $hello?->json('run');
            if ($run === null) {
                Sleep::for(self::AWAY_MS)->milliseconds();

                continue;
            }
            ($this->say)(__('stand_in.watches', ['planter' => $run['planter']]));
            if ($this->run($run, $seconds)) {
                return true;
            }
        }
    }

    /**
     * @param  array{id: string, rows: int, planter: string, last: int|null}  $run
     * @return bool whether it came to its end
     */
    private function run(array $run, int $seconds): bool
    {
        // The same run has the same field whenever it goes on.
        $number = crc32($run['id']);
        $field = new PracticeField($run['rows'], $number, $this->fault, [$number % $run['rows'] + 1]);
        for ($next = $run['last'] === null ? 0 : intdiv($run['last'], 1000) + 1; $seconds === 0 || $next < $seconds;) {
            $lines = array_map(static fn (int $second): string => (string) json_encode($field->at($second)), range($next, $next + $this->tempo - 1));
            $answer = $this->line->sent("monitor/runs/{$run['id']}", implode("\n", $lines));
            if ($answer === null || ! $answer->successful()) {
                // Cut off or over: it asks again.
                return false;
            }
            $next += $this->tempo;
            Sleep::for(self::EVERY)->milliseconds();
        }

        return true;
    }
}
