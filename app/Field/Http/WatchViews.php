<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\Watch\SharedRows;
use App\Field\Watch\StartWatch;
use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchEntry;
use App\Models\Field\WatchPass;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Watch\AlarmKind;
use Ustrel\Core\Field\Watch\RowGroup;
use Ustrel\Core\Field\Watch\Watched;

/** Draws what was watched on a planter, in the words of who asks. */
final readonly class WatchViews
{
    public function __construct(private Planter $planter, private FigureWords $words)
    {
    }

    /**
     * @param  Collection<int, WatchRun>  $before
     */
    public function watch(Collection $before): WatchView
    {
        return new WatchView(
            usual_acres: StartWatch::USUAL_ACRES, shared: self::shared(SharedRows::of($this->planter)), proposed: self::shared(SharedRows::proposed($this->planter)),
            before: array_values($before->map(fn (WatchRun $of): array => [
                'id' => $of->id, 'field' => $of->field, 'practice' => $of->practice !== null, 'made_at' => $of->made_at, 'passes' => (int) $of->getAttribute('passes_count'),
                'alarms' => (int) $of->getAttribute('alarms_count'), 'acres' => $this->acres((float) $of->getAttribute('passes_sum_feet')),
            ])->all()),
        );
    }

    /**
     * @param  list<int>  $shut
     * @param  Collection<int, WatchAlarm>  $alarms
     * @return list<array{row: int, state: 'sound'|'watch'|'change'|'failed'|'off'|'unheard', height: float|null, figures: list<array{watched: Watched, says: string}>}>
     */
    private function rows(WatchRun $run, array $shut, Collection $alarms): array
    {
        $told = $run->now['rows'] ?? [];
        $off = array_unique([...$shut, ...$run->now['off'] ?? []]);
        $highest = max([1.0, ...array_values($told[Watched::Population->value] ?? [])]);
        $rows = [];
        for ($row = 1; $row <= $this->planter->row_count; $row++) {
            $figures = [];
            foreach (Watched::cases() as $of) {
                if (isset($told[$of->value][$row])) {
                    $figures[] = ['watched' => $of, 'says' => $this->figure($of, (float) $told[$of->value][$row])];
                }
            }
            $population = $told[Watched::Population->value][$row] ?? null;
            $rows[] = ['row' => $row, 'state' => in_array($row, $off, true) ? 'off' : self::state($row, $alarms, $figures !== []), 'height' => $population === null ? null : round($population / $highest, 3), 'figures' => $figures];
        }

        return $rows;
    }

    /**
     * @param  Collection<int, WatchAlarm>  $alarms
     * @return 'sound'|'watch'|'change'|'failed'|'unheard'
     */
    private static function state(int $row, Collection $alarms, bool $isHeard): string
    {
        $open = $alarms->filter(static fn (WatchAlarm $of): bool => in_array($row, $of->open(), true) && ! $of->isLeft());

        return match (true) {
            $open->contains(static fn (WatchAlarm $of): bool => $of->kind === AlarmKind::Stopped) => 'failed',
            $open->contains(static fn (WatchAlarm $of): bool => ! $of->kind->isSensor()) => 'change',
            $open->isNotEmpty() => 'watch',
            default => $isHeard ? 'sound' : 'unheard',
        };
    }

    private function says(WatchAlarm $of): string
    {
        if ($of->kind->isSensor() || $of->expected === null || $of->found === null) {
            return __("watch.says_{$of->kind->value}", ['watched' => __("watched.{$of->watched->value}")]);
        }
        $which = $of->kind === AlarmKind::Drift ? "drift_{$of->watched->value}_".($of->direction < 0 ? 'down' : 'up') : "{$of->kind->value}_{$of->watched->value}";
        // Rows that drift together and share nothing of their own are all of them, against what is set.
        $isWhole = $of->kind === AlarmKind::Drift && (count($of->rows) === count($this->planter->runningRows()) || ($of->group_kind === null && count($of->rows) > 1));
        $which = $isWhole ? 'whole_'.($of->direction < 0 ? 'down' : 'up') : $which;
        $share = $of->expected > 0 ? abs($of->found / $of->expected - 1) : 0.0;

        return __("watch.says_{$which}", ['share' => number_format(100 * $share, $share < 0.1 ? 1 : 0), 'found' => $this->figure($of->watched, $of->found), 'expected' => $this->figure($of->watched, $of->expected)]);
    }

    private function figure(Watched $of, float $figure): string
    {
        return match ($of) {
            Watched::Population => $this->words->said(round($figure, -2), CalcUnit::SeedsAnAcre),
            Watched::Skips, Watched::Doubles => $this->words->said($figure, CalcUnit::Percent),
            Watched::Downforce => $this->words->said(round($figure), CalcUnit::Pound),
            Watched::Flow => $this->words->said(round($figure, 1), CalcUnit::Plain),
        };
    }

    /** @return array{number: int, from_at: DateTimeInterface, minutes: float, acres: string, mph: string, population: string|null, lowest: string|null} */
    private function pass(WatchPass $of): array
    {
        $seed = $of->means[Watched::Population->value] ?? [];
        $lowest = $seed === [] ? null : array_search(min($seed), $seed, true);

        return [
            'number' => $of->number, 'from_at' => $of->from_at, 'minutes' => round($of->seconds / 60, 1), 'acres' => $this->acres($of->feet), 'mph' => $this->words->said((float) $of->mph, CalcUnit::Mph),
            'population' => $seed === [] ? null : $this->figure(Watched::Population, array_sum($seed) / count($seed)),
            'lowest' => $lowest === null || $lowest === false ? null : (string) __('watch.lowest', ['row' => $lowest, 'figure' => $this->figure(Watched::Population, $seed[$lowest])]),
        ];
    }

    private function acres(float $feet): string
    {
        return $this->words->said(round($feet * $this->planter->row_count * $this->planter->spacing()->toInches() / 12 / 43_560, 1), CalcUnit::Acre);
    }

    /**
     * @param  list<RowGroup>  $groups
     * @return list<SharedRowsView>
     */
    private static function shared(array $groups): array
    {
        return array_map(static fn (RowGroup $of): SharedRowsView => new SharedRowsView($of->kind, $of->name, $of->rows), $groups);
    }

    /**
     * @param  Collection<int, WatchAlarm>  $alarms  the newest first
     * @param  Collection<int, WatchPass>  $passes  the newest first
     */
    public function run(WatchRun $run, Collection $alarms, Collection $passes): WatchRunView
    {
        [$now, $shut] = [$run->now ?? [], WatchEntry::shutOf($run->id)];

        return new WatchRunView(
            id: $run->id, state: $run->state, field: $run->field, acres: $run->acres, practice: $run->practice !== null,
            monitor_quiet: $run->heard_at === null ? null : (int) $run->heard_at->diffInSeconds(CarbonImmutable::now()), mph: isset($now['mph']) ? $this->words->said(round((float) $now['mph'], 1), CalcUnit::Mph) : null,
            down: $now['down'] ?? false, shut: $shut, off: $now['off'] ?? [], rows: $this->rows($run, $run->shutRows(), $alarms),
            alarms: array_values($alarms->map($this->alarm(...))->all()), passes: array_values($passes->map($this->pass(...))->all()),
            refused_lines: $run->refused_lines, refused: $run->refused, made_at: $run->made_at, started_at: $run->started_at, ended_at: $run->ended_at,
        );
    }

    private function alarm(WatchAlarm $of): WatchAlarmView
    {
        return new WatchAlarmView(
            id: $of->id, at: $of->at, kind: $of->kind, watched: $of->watched, rows: $of->rows,
            shared: $of->group_kind === null ? null : (string) __("watch.shared_{$of->group_kind->value}", ['name' => (string) $of->group_name]), says: $this->says($of),
            while: __('watch.while', ['pass' => $of->pass, 'mph' => $this->words->said((float) $of->mph, CalcUnit::Mph), 'seconds' => $of->seconds]),
            symptom: $of->kind->symptom($of->watched, $of->direction), is_sensor: $of->kind->isSensor(), is_back: $of->open() === [],
            seen_at: $of->seen()?->happened_at, seen_by: $of->seen()?->user->name, is_left: $of->isLeft(),
        );
    }
}
