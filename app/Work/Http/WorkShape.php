<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Models\Parts\PartType;
use App\Plan\Http\DecideShape;
use App\Work\InSeason;
use App\Work\PlannedWork;
use App\Work\RainDay;
use App\Work\WorkPlan;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Parts\Stock\Arrival;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Work\LedgerDraft;
use Ustrel\Core\Work\OwnWork;
use Ustrel\Core\Work\Schedule\Breach;
use Ustrel\Core\Work\Schedule\ChainLink;
use Ustrel\Core\Work\Schedule\LinkCause;
use Ustrel\Core\Work\Schedule\Placed;
use Ustrel\Core\Work\Stops\ServiceStop;
use Ustrel\Core\Work\Stops\Spares;

#[OA\Schema(schema: 'WorkJob', required: ['key', 'action', 'title', 'what', 'side', 'why', 'to', 'by', 'ledger', 'again', 'since'], properties: [
    new OA\Property(property: 'key', description: 'By which it is ticked and finished', type: 'string', example: 'change:3:opener_blade:left'),
    new OA\Property(property: 'action', description: 'As decided; own of the shop’s own work, grease of what is lubricated', type: 'string', enum: ['change', 'adjust', 'clean', 'send_out', 'look_again', 'own', 'grease']),
    new OA\Property(property: 'title', description: 'Of own work, and of what is lubricated', type: 'string', nullable: true),
    new OA\Property(property: 'what', description: 'A slot where a part is changed, a check else', type: 'string'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'why', description: 'Null where a part is changed', type: 'string', enum: Why::class, nullable: true),
    new OA\Property(property: 'to', ref: '#/components/schemas/Turned', nullable: true),
    new OA\Property(property: 'by', ref: '#/components/schemas/Turned', nullable: true),
    new OA\Property(property: 'since', description: 'What was recorded to be done before was of other work', type: 'string', format: 'date-time'),
    new OA\Property(property: 'ledger', description: 'What is recorded on the ledger when it is finished', type: 'array', items: new OA\Items(required: ['kind', 'side', 'slot', 'pairs'], properties: [
        new OA\Property(property: 'kind', type: 'string', enum: ['fitted', 'shims_moved']),
        new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
        new OA\Property(property: 'slot', ref: '#/components/schemas/Slot', nullable: true),
        new OA\Property(property: 'pairs', description: 'Shims added on each side, negative where taken out; null where they have to be counted', type: 'integer', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'again', description: 'What is looked at again when it is done', type: 'array', items: new OA\Items(required: ['check', 'side'], properties: [
        new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
        new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'WorkPart', required: ['slot', 'side', 'part_type_id', 'name', 'here', 'ordered', 'on'], properties: [
    new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'part_type_id', description: 'Null where nobody has said what goes in', type: 'integer', nullable: true),
    new OA\Property(property: 'name', type: 'string', nullable: true),
    new OA\Property(property: 'here', type: 'boolean'),
    new OA\Property(property: 'ordered', type: 'boolean'),
    new OA\Property(property: 'on', description: 'When it comes, or would come if it were ordered today; null where it is here or nobody knows', type: 'string', format: 'date', nullable: true),
])]
#[OA\Schema(schema: 'WorkPiece', required: ['key', 'planter', 'walk', 'row', 'steps', 'lines', 'since', 'tools', 'looks', 'back', 'people', 'jobs', 'stations', 'parts', 'minutes', 'blocks'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'planter', type: 'integer'),
    new OA\Property(property: 'walk', description: 'Whose findings it comes of; empty for what makes the planter safe', type: 'string'),
    new OA\Property(property: 'row', description: '0 for the planter as a whole', type: 'integer'),
    new OA\Property(property: 'steps', description: 'What comes off for it, in that order', type: 'array', items: new OA\Items(required: ['step', 'side'], properties: [
        new OA\Property(property: 'step', type: 'string'),
        new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    ], type: 'object')),
    new OA\Property(property: 'lines', description: 'What is ticked on its card, in the order in which hands come to it: what comes off, then the jobs', type: 'array', items: new OA\Items(required: ['key', 'before'], properties: [
        new OA\Property(property: 'key', type: 'string', example: 'off:3:gauge_wheel:left'),
        new OA\Property(property: 'before', description: 'Lines that are ticked before it', type: 'array', items: new OA\Items(type: 'string')),
    ], type: 'object')),
    new OA\Property(property: 'since', description: 'Ticks of before belong to other work', type: 'string', format: 'date-time'),
    new OA\Property(property: 'tools', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'looks', description: 'What to look at while it is off', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'back', description: 'What to mind when it goes back on', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'people', description: 'That it takes at its heaviest', type: 'integer'),
    new OA\Property(property: 'stations', description: 'Whose cautions hold', type: 'array', items: new OA\Items(ref: '#/components/schemas/Station')),
    new OA\Property(property: 'jobs', description: 'None where it makes the planter safe', type: 'array', items: new OA\Items(ref: '#/components/schemas/WorkJob')),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/WorkPart')),
    new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'blocks', description: 'Planting waits for it', type: 'boolean'),
])]
#[OA\Schema(schema: 'PlannedPiece', allOf: [new OA\Schema(ref: '#/components/schemas/WorkPiece'), new OA\Schema(required: ['person', 'with', 'starts', 'ends', 'hours', 'slack', 'latest', 'by_hand', 'too_early'], properties: [
    new OA\Property(property: 'person', description: 'Index of people', type: 'integer'),
    new OA\Property(property: 'with', description: 'Who does it together with that one', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'starts', description: 'As the shop’s clock has it', type: 'string', example: '2026-12-01T08:00'),
    new OA\Property(property: 'ends', type: 'string', example: '2026-12-01T09:10'),
    new OA\Property(property: 'hours', description: 'When it is worked on: a stretch for each day, in minutes of the day', type: 'array', items: new OA\Items(required: ['day', 'from', 'to'], properties: [
        new OA\Property(property: 'day', type: 'string', format: 'date'),
        new OA\Property(property: 'from', type: 'integer', maximum: 1440, minimum: 0),
        new OA\Property(property: 'to', type: 'integer', maximum: 1440, minimum: 0),
    ], type: 'object')),
    new OA\Property(property: 'slack', description: 'Minutes of work by which it may begin later', type: 'integer'),
    new OA\Property(property: 'latest', description: 'When it has to begin at the latest', type: 'string', example: '2026-12-02T10:30'),
    new OA\Property(property: 'by_hand', description: 'Somebody has set it there', type: 'boolean'),
    new OA\Property(property: 'too_early', description: 'It was set before its parts are there, or what comes before it is done', type: 'boolean'),
])])]
#[OA\Schema(schema: 'WorkPlan', required: ['people', 'planting', 'pieces', 'undated', 'ends', 'late', 'best', 'late_over', 'end_over', 'chain', 'minutes', 'saved', 'kept', 'in_time', 'broken'], properties: [
    new OA\Property(property: 'people', description: 'Names; an empty one is somebody more', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'planting', description: 'The first day of planting of all that are planned', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'pieces', description: 'In the order in which they begin', type: 'array', items: new OA\Items(ref: '#/components/schemas/PlannedPiece')),
    new OA\Property(property: 'undated', description: 'Whose parts nobody knows a day for, or all where nobody has hours', type: 'array', items: new OA\Items(ref: '#/components/schemas/WorkPiece')),
    new OA\Property(property: 'ends', type: 'string', nullable: true),
    new OA\Property(property: 'late', description: 'Minutes by which the latest of what planting waits for is late; negative where it is early', type: 'integer', nullable: true),
    new OA\Property(property: 'best', description: 'There is no better plan', type: 'boolean'),
    new OA\Property(property: 'late_over', description: 'A better plan is less late by so many minutes at most', type: 'integer'),
    new OA\Property(property: 'end_over', description: 'A better plan ends earlier by so many minutes at most', type: 'integer'),
    new OA\Property(property: 'chain', description: 'What settles the end, from the first on', type: 'array', items: new OA\Items(required: ['key', 'cause'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'cause', type: 'string', enum: LinkCause::class),
    ], type: 'object')),
    new OA\Property(property: 'minutes', description: 'Of all pieces', type: 'integer'),
    new OA\Property(property: 'saved', description: 'Minutes that each job by itself would take longer', type: 'integer'),
    new OA\Property(property: 'kept', description: 'The plan that is kept; null where none is', required: ['revision', 'by', 'made_at'], properties: [
        new OA\Property(property: 'revision', type: 'integer'),
        new OA\Property(property: 'by', type: 'string'),
        new OA\Property(property: 'made_at', type: 'string', format: 'date-time'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'in_time', description: 'What would bring a late plan in time, each by itself', type: 'array', items: new OA\Items(required: ['people', 'part', 'name', 'days'], properties: [
        new OA\Property(property: 'people', description: 'So many more', type: 'integer'),
        new OA\Property(property: 'part', description: 'Part type that came sooner', type: 'integer', nullable: true),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'days', description: 'By so many days', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'broken', description: 'What broke the plan that is kept: this one is made anew', type: 'array', items: new OA\Items(required: ['key', 'breach'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'breach', type: 'string', enum: Breach::class),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'RainDay', required: ['people', 'minutes', 'worth', 'best', 'at_most', 'missed', 'safe', 'waiting', 'unknown', 'for_more', 'no_stop_cost'], properties: [
    new OA\Property(property: 'people', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(ref: '#/components/schemas/RainJob'))),
    new OA\Property(property: 'minutes', description: 'That each needs for it', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'worth', description: 'Of risk removed and depth won back, in the currency of the workshop', type: 'number'),
    new OA\Property(property: 'best', description: 'No other choice removes more', type: 'boolean'),
    new OA\Property(property: 'at_most', type: 'number'),
    new OA\Property(property: 'missed', description: 'What only just has no room', type: 'array', items: new OA\Items(required: ['job', 'minutes'], properties: [
        new OA\Property(property: 'job', ref: '#/components/schemas/RainJob'),
        new OA\Property(property: 'minutes', description: 'More that it would need', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'safe', description: 'Minutes that go into making the planter safe', type: 'integer'),
    new OA\Property(property: 'waiting', description: 'Things to do whose parts are not here', type: 'integer'),
    new OA\Property(property: 'unknown', description: 'Things to do whose risk nobody can tell', type: 'integer'),
    new OA\Property(property: 'for_more', description: 'Things to do that take more people than there are', type: 'integer'),
    new OA\Property(property: 'no_stop_cost', description: 'Nobody has said what a stop costs', type: 'boolean'),
])]
#[OA\Schema(schema: 'RainJob', required: ['row', 'check', 'side', 'action', 'chance', 'minutes'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'action', type: 'string', enum: Action::class),
    new OA\Property(property: 'chance', type: 'number', nullable: true),
    new OA\Property(property: 'minutes', description: 'By itself', type: 'number'),
])]
#[OA\Schema(schema: 'WorkInSeason', required: ['spares', 'unpriced', 'stops', 'stop_cost', 'stops_at_least', 'best', 'acres', 'done', 'no_stop_cost'], properties: [
    new OA\Property(property: 'spares', type: 'array', items: new OA\Items(required: ['part_type_id', 'name', 'carry', 'expected', 'enough', 'enough_fewer', 'enough_more'], properties: [
        new OA\Property(property: 'part_type_id', type: 'integer'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'carry', type: 'integer'),
        new OA\Property(property: 'expected', description: 'That fail, on average', type: 'number'),
        new OA\Property(property: 'enough', description: 'The chance that they are enough', type: 'number'),
        new OA\Property(property: 'enough_fewer', description: 'With one fewer; null where none is carried', type: 'number', nullable: true),
        new OA\Property(property: 'enough_more', description: 'With one more', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'unpriced', description: 'Part types whose price nobody knows', type: 'integer'),
    new OA\Property(property: 'stops', type: 'array', items: new OA\Items(required: ['acres', 'items'], properties: [
        new OA\Property(property: 'acres', description: 'Of the season', type: 'number'),
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(required: ['slot', 'parts'], properties: [
            new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
            new OA\Property(property: 'parts', type: 'integer'),
        ], type: 'object')),
    ], type: 'object')),
    new OA\Property(property: 'stop_cost', description: 'Of stops, work and life thrown away', type: 'number', nullable: true),
    new OA\Property(property: 'stops_at_least', description: 'No plan costs less', type: 'number', nullable: true),
    new OA\Property(property: 'best', type: 'boolean'),
    new OA\Property(property: 'acres', description: 'Of the season; null where nobody has said', type: 'number', nullable: true),
    new OA\Property(property: 'done', description: 'Of them planted', type: 'number'),
    new OA\Property(property: 'no_stop_cost', type: 'boolean'),
])]
final class WorkShape
{
    /**
     * @param  list<array{people: int, part: int|null, name: string, days: int}>  $inTime  what would bring it in time
     * @return array<string, mixed>
     */
    public static function plan(WorkPlan $plan, array $inTime = []): array
    {
        $schedule = $plan->schedule;
        $left = $schedule === null ? [...array_values($plan->pieces), ...$plan->undated] : $plan->undated;
        $at = $plan->clock(...);

        return [
            'people' => $plan->people,
            'planting' => $plan->planting?->iso,
            'pieces' => array_values(array_map(static fn (Placed $placed): array => self::piece($plan->pieces[$placed->task]) + [
                'person' => $placed->person, 'with' => $placed->with, 'starts' => $at($placed->start), 'ends' => $at($placed->finish), 'hours' => $plan->stretches($placed), 'slack' => $schedule->slack[$placed->task] ?? 0, 'latest' => $at($schedule->latest[$placed->task] ?? $placed->start),
                'by_hand' => isset($plan->byHand[$placed->task]), 'too_early' => in_array($placed->task, $schedule->broken ?? [], true),
            ], $schedule->placed ?? [])),
            'undated' => array_map(self::piece(...), $left),
            'ends' => $schedule === null || $schedule->placed === [] ? null : $at($schedule->end),
            'late' => $schedule?->late,
            'best' => $schedule->isBest ?? true,
            'late_over' => $schedule->lateOver ?? 0,
            'end_over' => $schedule->endOver ?? 0,
            'chain' => array_map(static fn (ChainLink $link): array => ['key' => $link->task, 'cause' => $link->cause->value], $schedule->chain ?? []),
            'minutes' => array_sum(array_map(static fn (PlannedWork $of): int => $of->piece->minutes, [...array_values($plan->pieces), ...$plan->undated])),
            'kept' => $plan->kept === null ? null : ['revision' => $plan->kept->revision, 'by' => $plan->kept->user->name, 'made_at' => $plan->kept->made_at->toIso8601ZuluString()],
            'in_time' => $inTime,
            'broken' => array_map(static fn (string $key, Breach $breach): array => ['key' => $key, 'breach' => $breach->value], array_keys($plan->breaches), $plan->breaches),
            'saved' => array_sum(array_map(static fn (PlannedWork $of): int => $of->piece->saved, [...array_values($plan->pieces), ...$plan->undated])),
        ];
    }

    /** @return array<string, mixed> */
    private static function piece(PlannedWork $of): array
    {
        return [
            'key' => $of->key(),
            'planter' => $of->planter->id,
            'walk' => $of->walk,
            'row' => $of->piece->row,
            'steps' => array_map(static fn (array $step): array => ['step' => $step[0]->name, 'side' => $step[1]->value], $of->steps),
            'lines' => array_map(static fn (string $key, array $before): array => ['key' => $key, 'before' => $before], array_keys($of->card->lines), $of->card->lines),
            'since' => self::moment($of->ticksSince()),
            'tools' => $of->tools(),
            'looks' => $of->looks(),
            'back' => $of->back(),
            'people' => $of->piece->people,
            'stations' => array_map(static fn (Station $station): string => $station->value, $of->stations()),
            'jobs' => $of->piece->own !== null ? [self::own($of, $of->piece->own)] : array_map(static fn (Job $job): array => self::job($job, $of), $of->piece->jobs),
            'parts' => array_map(static fn (array $part): array => self::part(...$part), $of->parts),
            'minutes' => $of->piece->minutes,
            'blocks' => $of->piece->blocks,
        ];
    }

    /** @return array<string, mixed> */
    private static function job(Job $job, PlannedWork $in): array
    {
        $of = $in->askedFor($job);

        return [
            'key' => $job->key(), 'action' => $job->action->value, 'title' => null, 'what' => $job->what->value, 'side' => $job->side->value,
            'why' => $of?->why->value, 'to' => DecideShape::turned($of?->to), 'by' => DecideShape::turned($of?->by),
            'ledger' => array_map(static fn (LedgerDraft $draft): array => ['kind' => $draft->kind->value, 'side' => $draft->side->value, 'slot' => $draft->slot?->value, 'pairs' => $draft->pairs], LedgerDraft::of($job, $of)),
            'again' => self::again($job, $in), 'since' => self::moment($in->since[$job->key()] ?? PlannedWork::ALWAYS),
        ];
    }

    private static function moment(string $utc): string
    {
        return str_replace(' ', 'T', $utc).'Z';
    }

    /** @return array<string, mixed> */
    private static function own(PlannedWork $of, OwnWork $own): array
    {
        return [
            'key' => $own->key(), 'action' => $own->target->action, 'title' => $of->title, 'what' => $own->target->what, 'side' => $own->target->side->value,
            'why' => null, 'to' => null, 'by' => null, 'ledger' => [], 'again' => [], 'since' => self::moment($of->since[$own->key()] ?? PlannedWork::ALWAYS),
        ];
    }

    /** @return list<array{check: string, side: string}> that there are on this planter: on the side of the job, or on each where the job has none */
    private static function again(Job $job, PlannedWork $in): array
    {
        $sheet = $in->planter->readSheet();
        $checks = $job->what instanceof CheckKey ? [$job->what, ...$in->kits[$job->key()]->again] : $in->kits[$job->key()]->again;
        $again = [];
        foreach ($checks as $key) {
            $check = $sheet->check($key);
            foreach ($check === null || $check->isOfWholePlanter() !== ($job->row === 0) ? [] : ($check->has($job->side) ? [$job->side] : $check->sides) as $side) {
                $again[] = ['check' => $key->value, 'side' => $side->value];
            }
        }

        return $again;
    }

    /** @return array<string, mixed> */
    private static function part(SlotPlace $place, ?PartType $type, Arrival $arrival): array
    {
        return [
            'slot' => $place->slot->value, 'side' => $place->side->value, 'part_type_id' => $type?->id, 'name' => $type?->name,
            'here' => $arrival->isHere, 'ordered' => $arrival->isOrdered, 'on' => $arrival->on?->iso,
        ];
    }

    /** @return array<string, mixed> */
    public static function rain(RainDay $day): array
    {
        $job = static fn (string $key): array => self::rainJob($day->proposals[$key]);

        return [
            'people' => array_map(static fn (array $keys): array => array_map($job, $keys), $day->plan->people ?? []),
            'minutes' => $day->plan->minutes ?? [],
            'worth' => round($day->plan->worth ?? 0.0, 2),
            'best' => $day->plan->isBest ?? true,
            'at_most' => round($day->plan->atMost ?? 0.0, 2),
            'missed' => array_map(static fn (string $key, int $minutes): array => ['job' => $job($key), 'minutes' => $minutes], array_keys($day->plan->missed ?? []), $day->plan->missed ?? []),
            'safe' => $day->safe,
            'waiting' => $day->waiting,
            'unknown' => $day->unknown,
            'for_more' => $day->forMore,
            'no_stop_cost' => ! $day->hasStopCost,
        ];
    }

    /** @return array<string, mixed> */
    private static function rainJob(Proposal $of): array
    {
        return [
            'row' => $of->place->row, 'check' => $of->place->check->value, 'side' => $of->place->side->value, 'action' => $of->action->value,
            'chance' => $of->risk->chance === null ? null : round($of->risk->chance, 3), 'minutes' => $of->minutes,
        ];
    }

    /** @return array<string, mixed> */
    public static function season(InSeason $of): array
    {
        return [
            'spares' => array_map(static fn (array $spare): array => self::spare(...$spare), $of->spares),
            'unpriced' => $of->unpriced,
            'stops' => array_map(static fn (ServiceStop $stop): array => [
                'acres' => round($of->done + $stop->acres),
                'items' => array_map(static fn (string $item): array => ['slot' => explode(' ', $item)[0], 'parts' => $of->counts[$item]], $stop->items),
            ], $of->stops->stops ?? []),
            'stop_cost' => $of->stops === null ? null : round($of->stops->cost, 2),
            'stops_at_least' => $of->stops === null ? null : round($of->stops->atLeast, 2),
            'best' => $of->stops->isBest ?? true,
            'acres' => $of->acres === null ? null : round($of->acres + $of->done, 1),
            'done' => round($of->done, 1),
            'no_stop_cost' => ! $of->hasStopCost,
        ];
    }

    /** @return array<string, mixed> */
    private static function spare(PartType $type, Spares $spares): array
    {
        return [
            'part_type_id' => $type->id, 'name' => $type->name, 'carry' => $spares->carry, 'expected' => round($spares->expected(), 2), 'enough' => round($spares->enough($spares->carry), 3),
            'enough_fewer' => $spares->carry === 0 ? null : round($spares->enough($spares->carry - 1), 3), 'enough_more' => round($spares->enough($spares->carry + 1), 3),
        ];
    }
}
