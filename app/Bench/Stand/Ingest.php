<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use App\Models\Bench\StandDrop;
use App\Models\Bench\StandRun;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Takes what a stand tells of a run, line by line: seeds go straight into their table, one that is known already is left out, and
 * a line that cannot be read is counted and named while the good ones stay.
 */
final readonly class Ingest
{
    public const MOST_LINES = 20_000;

    private const LONGEST_LINE = 300;

    /** A stand counts its seeds from 1 on. */
    private const MOST_SEEDS = 20_000;

    private const MOST_MS = 1e9;

    private const MOST_AIR = 99.9;

    private const MOST_TURNS = 999.9;

    public function __construct(private EndRun $end)
    {
    }

    /**
     * @param  string  $lines  JSON objects, one a line
     *
     * @throws Refused where the run is over, or more is sent at once than is read
     */
    public function __invoke(StandRun $run, string $lines): Ingested
    {
        $each = array_values(array_filter(preg_split('/\r\n|\n|\r/', $lines) ?: [], static fn (string $line): bool => trim($line) !== ''));
        if (count($each) > self::MOST_LINES) {
            throw Refused::because('lines', 'stand.many', ['most' => self::MOST_LINES]);
        }
        $taken = DB::transaction(static function () use ($run, $each): Ingested {
            $held = StandRun::query()->lockForUpdate()->findOrFail($run->id);
            if (! in_array($held->state, ['waiting', 'running'], true)) {
                throw Refused::because('run', 'stand.over');
            }

            return self::take($held, $each);
        });
        if ($taken->hasEnded) {
            ($this->end)($run);
        }

        return $taken;
    }

    /** @param  list<string>  $lines */
    private static function take(StandRun $run, array $lines): Ingested
    {
        $last = $run->drops()->orderByDesc('seq')->first();
        [$seq, $ms] = [$last->seq ?? 0, $last->ms ?? 0.0];
        $drops = $refused = [];
        $air = $turns = null;
        $hasEnded = false;
        foreach ($lines as $number => $line) {
            $told = strlen($line) > self::LONGEST_LINE ? null : json_decode($line, true);
            $fault = self::fault($told, $hasEnded) ?? (isset($told['seq']) && $told['seq'] > $seq && $told['ms'] < $ms ? 'stand.backwards' : null);
            if ($fault !== null) {
                $refused[] = __($fault, ['line' => $number + 1, 'text' => mb_strimwidth(mb_scrub($line), 0, 60, '…')]);
            } elseif (isset($told['end'])) {
                $hasEnded = true;
            } elseif (isset($told['seq'])) {
                $drops[$told['seq']] ??= ['stand_run_id' => $run->id, 'seq' => $told['seq'], 'ms' => (float) $told['ms'], 'air' => $air ?? $run->air_seen];
                [$seq, $ms] = $told['seq'] > $seq ? [$told['seq'], (float) $told['ms']] : [$seq, $ms];
            } else {
                [$air, $turns] = [$told['air'] ?? $air, $told['rpm'] ?? $turns];
            }
        }
        $new = 0;
        foreach (array_chunk(array_values($drops), 2000) as $chunk) {
            $new += StandDrop::query()->toBase()->insertOrIgnore($chunk);
        }
        $now = CarbonImmutable::now();
        $run->fill([
            'state' => $hasEnded ? 'ending' : 'running', 'started_at' => $run->started_at ?? $now, 'heard_at' => $now, 'air_seen' => $air ?? $run->air_seen, 'turns_seen' => $turns ?? $run->turns_seen,
            'refused_lines' => $run->refused_lines + count($refused), 'refused' => $refused === [] ? $run->refused : $refused[array_key_last($refused)],
        ])->save();

        return new Ingested($seq, $new, array_slice($refused, 0, 20), count($refused), $hasEnded);
    }

    /** What is wrong with a line, by its wording; null where it can be taken. */
    private static function fault(mixed $told, bool $hasEnded): ?string
    {
        $number = static fn (mixed $of, float $least, float $most): bool => (is_int($of) || is_float($of)) && $of >= $least && $of <= $most;

        return match (true) {
            ! is_array($told) => 'stand.unreadable',
            $hasEnded => 'stand.behind_end',
            isset($told['end']) => $told['end'] === true ? null : 'stand.unreadable',
            isset($told['seq']) => is_int($told['seq']) && $told['seq'] >= 1 && $told['seq'] <= self::MOST_SEEDS ? ($number($told['ms'] ?? null, 0, self::MOST_MS) ? null : 'stand.ms') : 'stand.seq',
            isset($told['air']) && ! $number($told['air'], 0, self::MOST_AIR) => 'stand.air',
            isset($told['rpm']) && ! $number($told['rpm'], 0, self::MOST_TURNS) => 'stand.rpm',
            isset($told['air']) || isset($told['rpm']) => null,
            default => 'stand.seq',
        };
    }
}
