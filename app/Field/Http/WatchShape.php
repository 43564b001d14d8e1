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
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Watch\AlarmKind;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Field\Watch\WatchEntryKind;

#[OA\Schema(schema: 'SharedRows', description: 'Rows that share a motor, tank, manifold, fan or section', required: ['kind', 'name', 'rows'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: GroupKind::class),
    new OA\Property(property: 'name', type: 'string', maxLength: 40),
    new OA\Property(property: 'rows', description: 'Two or more', type: 'array', items: new OA\Items(type: 'integer')),
])]
#[OA\Schema(schema: 'WatchSetUp', required: ['id'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'acres', description: 'Of this planter to a false alarm', type: 'integer', maximum: 100000, minimum: 50),
    new OA\Property(property: 'practice', description: 'A made-up field tells of it', type: 'boolean'),
    new OA\Property(property: 'fault', description: 'That comes on the made-up field', type: 'string', enum: PracticeFault::class),
])]
#[OA\Schema(schema: 'WatchAlarm', required: ['id', 'at', 'kind', 'watched', 'rows', 'shared', 'says', 'while', 'symptom', 'is_sensor', 'is_back', 'seen_at', 'seen_by', 'is_left'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'kind', type: 'string', enum: AlarmKind::class),
    new OA\Property(property: 'watched', type: 'string', enum: Watched::class),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'shared', description: 'What they share, where that is to blame, in words', type: 'string', nullable: true),
    new OA\Property(property: 'says', description: 'What is amiss, in words', type: 'string'),
    new OA\Property(property: 'while', description: 'What was going on, in words', type: 'string'),
    new OA\Property(property: 'symptom', ref: '#/components/schemas/Symptom'),
    new OA\Property(property: 'is_sensor', type: 'boolean'),
    new OA\Property(property: 'is_back', description: 'All of its rows are as they were', type: 'boolean'),
    new OA\Property(property: 'seen_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'seen_by', type: 'string', nullable: true),
    new OA\Property(property: 'is_left', description: 'What it is like is how it is to be', type: 'boolean'),
])]
#[OA\Schema(schema: 'WatchEntry', description: 'What somebody says while rows are watched', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: WatchEntryKind::class),
    new OA\Property(property: 'row', description: 'That is shut off on purpose, or plants again', type: 'integer', minimum: 1),
    new OA\Property(property: 'alarm', description: 'That was seen, or whose rows are left as they are', type: 'integer'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'WatchRun', required: ['id', 'state', 'field', 'acres', 'practice', 'monitor_quiet', 'mph', 'down', 'shut', 'off', 'rows', 'alarms', 'passes', 'refused_lines', 'refused', 'made_at', 'started_at', 'ended_at'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'state', type: 'string', enum: ['waiting', 'running', 'ended']),
    new OA\Property(property: 'field', type: 'string'),
    new OA\Property(property: 'acres', type: 'integer'),
    new OA\Property(property: 'practice', type: 'boolean'),
    new OA\Property(property: 'monitor_quiet', description: 'Seconds since the monitor was heard; null before it was', type: 'integer', nullable: true),
    new OA\Property(property: 'mph', description: 'In words', type: 'string', nullable: true),
    new OA\Property(property: 'down', description: 'Whether it is let down', type: 'boolean'),
    new OA\Property(property: 'shut', description: 'Rows that somebody said are shut off on purpose', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'off', description: 'Rows that the monitor says are shut off', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['row', 'state', 'height', 'figures'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'state', description: 'By the alarms that are open', type: 'string', enum: ['sound', 'watch', 'change', 'failed', 'off', 'unheard']),
        new OA\Property(property: 'height', description: 'Its population, of the highest', type: 'number', nullable: true),
        new OA\Property(property: 'figures', description: 'In words', type: 'array', items: new OA\Items(required: ['watched', 'says'], properties: [
            new OA\Property(property: 'watched', type: 'string', enum: Watched::class),
            new OA\Property(property: 'says', type: 'string'),
        ], type: 'object')),
    ], type: 'object')),
    new OA\Property(property: 'alarms', description: 'The newest first', type: 'array', items: new OA\Items(ref: '#/components/schemas/WatchAlarm')),
    new OA\Property(property: 'passes', description: 'The newest first', type: 'array', items: new OA\Items(required: ['number', 'from_at', 'minutes', 'acres', 'mph', 'population', 'lowest'], properties: [
        new OA\Property(property: 'number', type: 'integer'),
        new OA\Property(property: 'from_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'minutes', type: 'number'),
        new OA\Property(property: 'acres', type: 'string'),
        new OA\Property(property: 'mph', type: 'string'),
        new OA\Property(property: 'population', type: 'string', nullable: true),
        new OA\Property(property: 'lowest', description: 'The row with the lowest population, in words', type: 'string', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'refused_lines', type: 'integer'),
    new OA\Property(property: 'refused', type: 'string'),
    new OA\Property(property: 'made_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'started_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'ended_at', type: 'string', format: 'date-time', nullable: true),
])]
#[OA\Schema(schema: 'Watch', required: ['usual_acres', 'shared', 'proposed', 'before'], properties: [
    new OA\Property(property: 'usual_acres', description: 'Acres of a planter to a false alarm', type: 'integer'),
    new OA\Property(property: 'shared', type: 'array', items: new OA\Items(ref: '#/components/schemas/SharedRows')),
    new OA\Property(property: 'proposed', description: 'While nothing is said', type: 'array', items: new OA\Items(ref: '#/components/schemas/SharedRows')),
    new OA\Property(property: 'before', type: 'array', items: new OA\Items(required: ['id', 'field', 'practice', 'made_at', 'passes', 'alarms', 'acres'], properties: [
        new OA\Property(property: 'id', type: 'string', format: 'uuid'),
        new OA\Property(property: 'field', type: 'string'),
        new OA\Property(property: 'practice', type: 'boolean'),
        new OA\Property(property: 'made_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'passes', type: 'integer'),
        new OA\Property(property: 'alarms', type: 'integer'),
        new OA\Property(property: 'acres', description: 'In words', type: 'string'),
    ], type: 'object')),
])]
final readonly class WatchShape
{
    public function __construct(private Planter $planter, private FigureWords $words)
    {
    }

    /**
     * @param  Collection<int, WatchRun>  $before
     * @return array<string, mixed>
     */
    public function of(Collection $before): array
    {
        return [
            'usual_acres' => StartWatch::USUAL_ACRES, 'shared' => SharedRows::list(SharedRows::of($this->planter)), 'proposed' => SharedRows::list(SharedRows::proposed($this->planter)),
            'before' => $before->map(fn (WatchRun $of): array => [
                'id' => $of->id, 'field' => $of->field, 'practice' => $of->practice !== null, 'made_at' => $of->made_at->toIso8601ZuluString(), 'passes' => (int) $of->getAttribute('passes_count'),
                'alarms' => (int) $of->getAttribute('alarms_count'), 'acres' => $this->acres((float) $of->getAttribute('passes_sum_feet')),
            ])->all(),
        ];
    }

    /**
     * @param  Collection<int, WatchAlarm>  $alarms  the newest first
     * @param  Collection<int, WatchPass>  $passes  the newest first
     * @return array<string, mixed>
     */
    public function run(WatchRun $run, Collection $alarms, Collection $passes): array
    {
        [$now, $shut] = [$run->now ?? [], WatchEntry::shutOf($run->id)];

        return [
            'id' => $run->id, 'state' => $run->state, 'field' => $run->field, 'acres' => $run->acres, 'practice' => $run->practice !== null,
            'monitor_quiet' => $run->heard_at === null ? null : (int) $run->heard_at->diffInSeconds(CarbonImmutable::now()), 'mph' => isset($now['mph']) ? $this->words->said(round((float) $now['mph'], 1), CalcUnit::Mph) : null,
            'down' => $now['down'] ?? false, 'shut' => $shut, 'off' => $now['off'] ?? [], 'rows' => $this->rows($run, $shut, $alarms),
            'alarms' => $alarms->map($this->alarm(...))->all(), 'passes' => $passes->map($this->pass(...))->all(),
            'refused_lines' => $run->refused_lines, 'refused' => $run->refused, 'made_at' => $run->made_at->toIso8601ZuluString(), 'started_at' => $run->started_at?->toIso8601ZuluString(), 'ended_at' => $run->ended_at?->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  list<int>  $shut
     * @param  Collection<int, WatchAlarm>  $alarms
     * @return list<array<string, mixed>>
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
                    $figures[] = ['watched' => $of->value, 'says' => $this->figure($of, (float) $told[$of->value][$row])];
                }
            }
            $population = $told[Watched::Population->value][$row] ?? null;
            $rows[] = ['row' => $row, 'state' => in_array($row, $off, true) ? 'off' : self::state($row, $alarms, $figures !== []), 'height' => $population === null ? null : round($population / $highest, 3), 'figures' => $figures];
        }

        return $rows;
    }

    /** @param  Collection<int, WatchAlarm>  $alarms */
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

    /** @return array<string, mixed> */
    private function alarm(WatchAlarm $of): array
    {
        return [
            'id' => $of->id, 'at' => $of->at->toIso8601ZuluString(), 'kind' => $of->kind->value, 'watched' => $of->watched->value, 'rows' => $of->rows,
            'shared' => $of->group_kind === null ? null : __("watch.shared_{$of->group_kind->value}", ['name' => (string) $of->group_name]), 'says' => $this->says($of),
            'while' => __('watch.while', ['pass' => $of->pass, 'mph' => $this->words->said((float) $of->mph, CalcUnit::Mph), 'seconds' => $of->seconds]),
            'symptom' => $of->kind->symptom($of->watched, $of->direction)->value, 'is_sensor' => $of->kind->isSensor(), 'is_back' => $of->open() === [],
            'seen_at' => $of->seen()?->happened_at->toIso8601ZuluString(), 'seen_by' => $of->seen()?->user->name, 'is_left' => $of->isLeft(),
        ];
    }

    private function says(WatchAlarm $of): string
    {
        if ($of->kind->isSensor() || $of->expected === null || $of->found === null) {
            return __("watch.says_{$of->kind->value}", ['watched' => __("watched.{$of->watched->value}")]);
        }
        $which = $of->kind === AlarmKind::Drift ? "drift_{$of->watched->value}_".($of->direction < 0 ? 'down' : 'up') : "{$of->kind->value}_{$of->watched->value}";
        // Rows that drift together and share nothing of their own are all of them, against what is set.
        $isWhole = $of->kind === AlarmKind::Drift && (count($of->rows) === $this->planter->row_count || ($of->group_kind === null && count($of->rows) > 1));
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

    /** @return array<string, mixed> */
    private function pass(WatchPass $of): array
    {
        $seed = $of->means[Watched::Population->value] ?? [];
        $lowest = $seed === [] ? null : array_search(min($seed), $seed, true);

        return [
            'number' => $of->number, 'from_at' => $of->from_at->toIso8601ZuluString(), 'minutes' => round($of->seconds / 60, 1), 'acres' => $this->acres($of->feet), 'mph' => $this->words->said((float) $of->mph, CalcUnit::Mph),
            'population' => $seed === [] ? null : $this->figure(Watched::Population, array_sum($seed) / count($seed)),
            'lowest' => $lowest === null || $lowest === false ? null : __('watch.lowest', ['row' => $lowest, 'figure' => $this->figure(Watched::Population, $seed[$lowest])]),
        ];
    }

    private function acres(float $feet): string
    {
        return $this->words->said(round($feet * $this->planter->row_count * $this->planter->spacing()->toInches() / 12 / 43_560, 1), CalcUnit::Acre);
    }
}
