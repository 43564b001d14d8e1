<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Models\Plan\Decision;
use App\Models\Work\WorkEvent;
use App\Plan\CarriedOver;
use App\Plan\Decisions;
use App\Plan\Found;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Cost;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Work\CouldNotReason;

#[OA\Schema(schema: 'PartPlace', required: ['row', 'slot', 'side'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
])]
#[OA\Schema(schema: 'Turned', description: 'A figure to set to, or by which to turn', required: ['value', 'unit'], properties: [
    new OA\Property(property: 'value', type: 'number'),
    new OA\Property(property: 'unit', ref: '#/components/schemas/Unit'),
])]
#[OA\Schema(schema: 'Sum', required: ['cost', 'unpriced', 'minutes'], properties: [
    new OA\Property(property: 'cost', description: 'Of parts, in the currency of the workshop, as far as prices are known', type: 'number'),
    new OA\Property(property: 'unpriced', description: 'Parts whose price nobody knows', type: 'integer'),
    new OA\Property(property: 'minutes', description: 'Shared access counted once', type: 'number'),
])]
#[OA\Schema(schema: 'Proposal', required: ['action', 'why', 'to', 'by', 'parts', 'cost', 'unpriced', 'minutes', 'chance', 'thin', 'doubted', 'stops', 'left', 'look_when', 'look_acres', 'qualified'], properties: [
    new OA\Property(property: 'action', type: 'string', enum: Action::class),
    new OA\Property(property: 'why', type: 'string', enum: Why::class),
    new OA\Property(property: 'to', ref: '#/components/schemas/Turned', nullable: true),
    new OA\Property(property: 'by', ref: '#/components/schemas/Turned', nullable: true),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/PartPlace')),
    new OA\Property(property: 'cost', type: 'number'),
    new OA\Property(property: 'unpriced', type: 'integer'),
    new OA\Property(property: 'minutes', type: 'number'),
    new OA\Property(property: 'chance', description: 'To reach the limit, or to stop the row, within the season where it is left, 0 to 1', type: 'number', nullable: true),
    new OA\Property(property: 'thin', description: 'That stands on little', type: 'boolean'),
    new OA\Property(property: 'doubted', description: 'It read past its limit, and the other readings say otherwise: measure it again', type: 'boolean'),
    new OA\Property(property: 'stops', description: 'The row cannot run as it is', type: 'boolean'),
    new OA\Property(property: 'left', description: 'Such findings that the shop left, where the chance stands on them', type: 'integer', nullable: true),
    new OA\Property(property: 'look_when', type: 'string', enum: LookWhen::class, nullable: true),
    new OA\Property(property: 'look_acres', type: 'number', nullable: true),
    new OA\Property(property: 'qualified', description: 'Beyond basic service it is for qualified people', type: 'boolean'),
])]
#[OA\Schema(schema: 'Decision', required: ['id', 'action', 'proposed', 'reason', 'words', 'look_when', 'look_acres', 'cost', 'unpriced', 'minutes', 'happened_at', 'by', 'season'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'action', type: 'string', enum: Action::class),
    new OA\Property(property: 'proposed', type: 'string', enum: Action::class, nullable: true),
    new OA\Property(property: 'reason', type: 'string', enum: OverrideReason::class, nullable: true),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'look_when', type: 'string', enum: LookWhen::class, nullable: true),
    new OA\Property(property: 'look_acres', type: 'number', nullable: true),
    new OA\Property(property: 'cost', type: 'number'),
    new OA\Property(property: 'unpriced', type: 'integer'),
    new OA\Property(property: 'minutes', type: 'number'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'by', description: 'Name of who decided', type: 'string'),
    new OA\Property(property: 'season', type: 'integer'),
])]
#[OA\Schema(schema: 'ToDecide', required: ['row', 'check', 'side', 'verdict', 'reasons', 'value', 'state', 'chips', 'proposal', 'decision', 'overtaken', 'before', 'done', 'could_not'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'verdict', description: 'Sound where nothing was found, and the policy alone says so', type: 'string', enum: Verdict::class),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
    new OA\Property(property: 'value', type: 'number', nullable: true),
    new OA\Property(property: 'state', ref: '#/components/schemas/State', nullable: true),
    new OA\Property(property: 'chips', type: 'array', items: new OA\Items(ref: '#/components/schemas/Chip')),
    new OA\Property(property: 'proposal', ref: '#/components/schemas/Proposal'),
    new OA\Property(property: 'decision', ref: '#/components/schemas/Decision', nullable: true),
    new OA\Property(property: 'overtaken', description: 'Something else was read there since it was decided', type: 'boolean'),
    new OA\Property(property: 'before', description: 'Carried over in an earlier walk', ref: '#/components/schemas/Decision', nullable: true),
    new OA\Property(property: 'done', description: 'When what was decided was done; it is to be looked at again', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'could_not', description: 'Somebody tried, and could not: it is to be decided anew', ref: '#/components/schemas/CouldNot', nullable: true),
])]
#[OA\Schema(schema: 'CouldNot', required: ['reason', 'words', 'by', 'happened_at'], properties: [
    new OA\Property(property: 'reason', type: 'string', enum: CouldNotReason::class, nullable: true),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'CarriedOver', required: ['row', 'check', 'side', 'due', 'decision'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'due', type: 'boolean'),
    new OA\Property(property: 'decision', ref: '#/components/schemas/Decision'),
])]
#[OA\Schema(schema: 'Decide', required: ['walk', 'season', 'school', 'found', 'carried', 'open', 'decided'], properties: [
    new OA\Property(property: 'walk', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'school', description: 'That rules', type: 'string'),
    new OA\Property(property: 'found', description: 'The worst first, then what is due by the policy alone', type: 'array', items: new OA\Items(ref: '#/components/schemas/ToDecide')),
    new OA\Property(property: 'carried', description: 'Over from before: what is due first', type: 'array', items: new OA\Items(ref: '#/components/schemas/CarriedOver')),
    new OA\Property(property: 'open', ref: '#/components/schemas/Sum'),
    new OA\Property(property: 'decided', ref: '#/components/schemas/Sum'),
])]
final class DecideShape
{
    /** @return array<string, mixed> */
    public static function of(Decisions $decisions): array
    {
        return [
            'walk' => $decisions->walk?->id,
            'season' => $decisions->planter->season(),
            'school' => $decisions->now->policy->school->value,
            'found' => array_map(static fn (Found $found): array => self::found($found, $decisions->isDone($found)), $decisions->found),
            'carried' => array_map(static fn (CarriedOver $carried): array => [
                'row' => $carried->decision->row_number, 'check' => $carried->decision->check_key->value, 'side' => $carried->decision->side->value,
                'due' => $carried->isDue, 'decision' => self::decision($carried->decision),
            ], $decisions->carried),
            'open' => self::sum(...$decisions->open()),
            'decided' => self::sum(...$decisions->decided()),
        ];
    }

    /** @return array<string, mixed> */
    private static function found(Found $found, bool $isDone): array
    {
        return [
            'row' => $found->place->row,
            'check' => $found->place->check->value,
            'side' => $found->place->side->value,
            'verdict' => ($found->reading->verdict ?? Verdict::Sound)->value,
            'reasons' => $found->reading?->reasons() ?? [],
            ...($found->reading?->stored->plain() ?? ['value' => null, 'state' => null, 'chips' => []]),
            'proposal' => self::proposal($found->proposal),
            'decision' => $found->decision === null ? null : self::decision($found->decision),
            'overtaken' => $found->isOvertaken(),
            'before' => $found->before === null ? null : self::decision($found->before),
            'done' => $isDone ? max(['', ...array_map(static fn (WorkEvent $event): string => $event->happened_at->toIso8601ZuluString(), array_values($found->done))]) : null,
            'could_not' => $found->couldNot === null ? null : self::couldNot($found->couldNot),
        ];
    }

    /** @return array<string, mixed> */
    private static function couldNot(WorkEvent $event): array
    {
        return ['reason' => $event->reason?->value, 'words' => $event->words, 'by' => $event->user->name, 'happened_at' => $event->happened_at->toIso8601ZuluString()];
    }

    /** @return array<string, mixed> */
    private static function proposal(Proposal $proposal): array
    {
        return [
            'action' => $proposal->action->value,
            'why' => $proposal->why->value,
            'to' => self::turned($proposal->to),
            'by' => self::turned($proposal->by),
            'parts' => array_map(static fn (SlotPlace $part): array => ['row' => $part->row, 'slot' => $part->slot->value, 'side' => $part->side->value], $proposal->parts),
            ...self::sum($proposal->cost, $proposal->minutes),
            'chance' => $proposal->risk->chance === null ? null : round($proposal->risk->chance, 3),
            'thin' => $proposal->risk->isThin,
            'doubted' => $proposal->risk->isDoubted,
            'stops' => $proposal->risk->stopsNow,
            'left' => $proposal->risk->left,
            'look_when' => $proposal->lookAgain?->when->value,
            'look_acres' => $proposal->lookAgain?->acres,
            'qualified' => $proposal->isForQualified,
        ];
    }

    /** @return array{value: float, unit: string}|null */
    public static function turned(?Quantity $quantity): ?array
    {
        return $quantity === null ? null : ['value' => $quantity->unit()->valueOf($quantity), 'unit' => $quantity->unit()->value];
    }

    /** @return array<string, mixed> */
    public static function decision(Decision $decision): array
    {
        return [
            'id' => $decision->id,
            'action' => $decision->action->value,
            'proposed' => $decision->proposed?->value,
            'reason' => $decision->reason?->value,
            'words' => $decision->words,
            'look_when' => $decision->look_when?->value,
            'look_acres' => $decision->look_acres === null ? null : (float) $decision->look_acres,
            'cost' => (float) $decision->cost,
            'unpriced' => $decision->unpriced,
            'minutes' => (float) $decision->minutes,
            'happened_at' => $decision->happened_at->toIso8601ZuluString('millisecond'),
            'by' => $decision->user->name,
            'season' => $decision->walk->season,
        ];
    }

    /** @return array{cost: float, unpriced: int, minutes: float} */
    private static function sum(Cost $cost, float $minutes): array
    {
        return ['cost' => round($cost->known, 2), 'unpriced' => $cost->unknown, 'minutes' => round($minutes, 1)];
    }
}
