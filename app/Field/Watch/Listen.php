<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchBack;
use App\Models\Field\WatchPass;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Field\Watch\InvalidWatch;
use Ustrel\Core\Field\Watch\MonitorLine;
use Ustrel\Core\Field\Watch\PassSummary;
use Ustrel\Core\Field\Watch\RaisedAlarm;
use Ustrel\Core\Field\Watch\RowWatch;
use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Field\Watch\WatchNews;

/**
 * Takes what a row monitor tells, moment by moment: what is known already is left out, a line that cannot be read is counted and named
 * while the good ones count. Kept are passes and alarms, not moments. Whoever changes a run holds it first.
 */
final readonly class Listen
{
    public const MOST_LINES = 3_000;

    private const LONGEST_LINE = 8_000;

    /**
     * @param  string  $lines  JSON objects, one a line
     *
     * @throws Refused where the run is over, or more is sent at once than is read
     */
    public function __invoke(WatchRun $run, string $lines): Heard
    {
        $each = array_values(array_filter(preg_split('/\r\n|\n|\r/', $lines) ?: [], static fn (string $line): bool => trim($line) !== ''));
        if (count($each) > self::MOST_LINES) {
            throw Refused::because('lines', 'watch.many', ['most' => self::MOST_LINES]);
        }

        return self::held($run, static function (WatchRun $held, RowWatch $watch) use ($each): Heard {
            if (! $held->isUnderWay()) {
                throw Refused::because('run', 'watch.over');
            }

            return self::take($held, $watch, $each);
        });
    }

    /** Ends it: the last pass is kept, and what the rows taught. */
    public function end(WatchRun $run): WatchRun
    {
        return self::held($run, static function (WatchRun $held, RowWatch $watch): WatchRun {
            if ($held->isUnderWay()) {
                $pass = $watch->end();
                $pass === null || self::keepPass($held, $pass);
                $held->fill(['state' => 'ended', 'ended_at' => CarbonImmutable::now(), 'kept' => null, 'learned' => $held->started_at === null ? null : $watch->learned()])->save();
            }

            return $held;
        });
    }

    /** What an alarm tells is what is to be expected of its rows from here on. */
    public function expect(WatchRun $run, WatchAlarm $alarm): void
    {
        self::held($run, static function (WatchRun $held, RowWatch $watch) use ($alarm): void {
            if ($held->isUnderWay()) {
                $watch->accept($alarm->watched, $alarm->rows);
                $held->update(['kept' => self::packed($watch)]);
            }
        });
    }

    /**
     * @template TSaid
     *
     * @param  Closure(WatchRun, RowWatch): TSaid  $do
     * @return TSaid
     */
    private static function held(WatchRun $run, Closure $do): mixed
    {
        return DB::transaction(static function () use ($run, $do): mixed {
            $held = WatchRun::query()->lockForUpdate()->findOrFail($run->id);

            return $do($held, self::watch($held));
        });
    }

    private static function watch(WatchRun $run): RowWatch
    {
        $kept = $run->kept === null ? null : RowWatch::of((string) gzuncompress((string) base64_decode($run->kept, true)));
        if ($kept !== null) {
            return $kept;
        }
        $before = WatchRun::query()->where('planter_id', $run->planter_id)->whereNotNull('learned')->orderByDesc('made_at')->first(['id', 'learned']);

        return RowWatch::begin(self::width($run->planter), SharedRows::of($run->planter), (float) $run->acres, $before->learned ?? []);
    }

    private static function packed(RowWatch $watch): string
    {
        return base64_encode((string) gzcompress($watch->kept(), 1));
    }

    private static function width(Planter $planter): float
    {
        return $planter->row_count * $planter->spacing()->toInches() / 12;
    }

    /** @param  list<string>  $lines */
    private static function take(WatchRun $run, RowWatch $watch, array $lines): Heard
    {
        $refused = [];
        [$last, $new, $line] = [$run->last_ms, 0, null];
        $shut = $run->shutRows();
        [$now, $rows] = [CarbonImmutable::now(), $run->planter->row_count];
        foreach ($lines as $number => $text) {
            try {
                $read = MonitorLine::of(strlen($text) > self::LONGEST_LINE ? null : json_decode($text, true), $rows);
            } catch (InvalidWatch $invalid) {
                $refused[] = __("watch.line_{$invalid->fault}", ['line' => $number + 1, 'text' => mb_strimwidth(mb_scrub($text), 0, 60, '…'), 'rows' => $rows]);

                continue;
            }
            if ($last !== null && $read->ms <= $last) {
                continue;
            }
            [$last, $line] = [$read->ms, $read];
            $new++;
            $run->started_at ??= $now;
            $run->first_ms ??= $read->ms;
            self::keep($run, $watch->take($read, $shut), $read->mph);
        }
        $run->fill([
            'state' => 'running', 'last_ms' => $last, 'heard_at' => $new > 0 ? $now : $run->heard_at, 'refused_lines' => $run->refused_lines + count($refused),
            'refused' => $refused === [] ? $run->refused : $refused[array_key_last($refused)],
            'now' => $line === null ? $run->now : ['mph' => $line->mph, 'down' => $line->isDown, 'off' => $line->off, 'rows' => $watch->lately()], 'kept' => self::packed($watch),
        ])->save();

        return new Heard($last, $new, array_slice($refused, 0, 20), count($refused));
    }

    private static function keep(WatchRun $run, WatchNews $news, float $mph): void
    {
        $news->pass === null || self::keepPass($run, $news->pass);
        foreach ($news->alarms as $alarm) {
            self::keepAlarm($run, $alarm, $mph);
        }
        foreach ($news->back as [$of, $row]) {
            self::isBack($run, $of, $row);
        }
    }

    private static function keepPass(WatchRun $run, PassSummary $pass): void
    {
        WatchPass::query()->create([
            'watch_run_id' => $run->id, 'number' => $run->passes()->count() + 1, 'from_at' => $run->moment($pass->from), 'to_at' => $run->moment($pass->to), 'seconds' => ($pass->to - $pass->from) / 1000, 'feet' => round($pass->feet, 1),
            'mph' => round($pass->mph(), 1), 'means' => self::rounded($pass->means), 'deviations' => self::rounded($pass->deviations),
        ]);
    }

    /**
     * @param  array<string, array<int, float>>  $figures
     * @return array<string, array<int, float>>
     */
    private static function rounded(array $figures): array
    {
        return array_map(static fn (array $of): array => array_map(static fn (float $figure): float => round($figure, 2), $of), $figures);
    }

    private static function keepAlarm(WatchRun $run, RaisedAlarm $alarm, float $mph): void
    {
        WatchAlarm::query()->create([
            'watch_run_id' => $run->id, 'at' => $run->moment($alarm->ms), 'kind' => $alarm->kind, 'watched' => $alarm->of, 'rows' => $alarm->rows, 'group_kind' => $alarm->group?->kind, 'group_name' => $alarm->group?->name,
            'direction' => $alarm->direction, 'expected' => $alarm->from, 'found' => $alarm->to, 'seconds' => $alarm->seconds, 'pass' => $run->passes()->count() + 1, 'mph' => round($mph, 1),
        ]);
    }

    /** The newest alarm about a row that is as it was again says so. */
    private static function isBack(WatchRun $run, Watched $of, int $row): void
    {
        $alarm = $run->alarms()->where('watched', $of)->whereIn('kind', ['drift', 'low', 'stopped'])->whereJsonContains('rows', $row)->orderByDesc('id')->first();
        if ($alarm !== null) {
            WatchBack::query()->insertOrIgnore(['watch_run_id' => $run->id, 'watch_alarm_id' => $alarm->id, 'row_number' => $row, 'at' => CarbonImmutable::now()]);
        }
    }
}
