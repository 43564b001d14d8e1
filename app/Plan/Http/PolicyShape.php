<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Models\Plan\PolicyChoice;
use App\Models\Planter;
use App\Plan\PolicyQuery;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\ChangeWhen;
use Ustrel\Core\Plan\Policy\PolicyLine;
use Ustrel\Core\Plan\Policy\Scope;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\Turn;
use Ustrel\Core\Plan\Policy\TurnOf;

#[OA\Schema(schema: 'SlotRule', required: ['when'], properties: [
    new OA\Property(property: 'when', type: 'string', enum: ChangeWhen::class),
    new OA\Property(property: 'share', description: 'Of the allowance gone, over 0 to 1', type: 'number'),
    new OA\Property(property: 'scope', type: 'string', enum: Scope::class),
    new OA\Property(property: 'with', description: 'Slots that are changed along with it', type: 'array', items: new OA\Items(ref: '#/components/schemas/Slot')),
    new OA\Property(property: 'looks', description: 'A season', type: 'integer', maximum: 2, minimum: 1),
])]
#[OA\Schema(schema: 'PolicyLine', description: 'Money in the currency of the workshop, a season', required: ['school', 'p10', 'p50', 'p90', 'acre', 'cheapest', 'parts', 'unpriced', 'hours', 'stops', 'lost_worst', 'lost_mean', 'waste'], properties: [
    new OA\Property(property: 'school', type: 'string', enum: Strategy::class),
    new OA\Property(property: 'p10', type: 'number'),
    new OA\Property(property: 'p50', type: 'number'),
    new OA\Property(property: 'p90', type: 'number'),
    new OA\Property(property: 'acre', description: 'The middle, an acre', type: 'number'),
    new OA\Property(property: 'cheapest', description: 'Share of runs in which it is, 0 to 1', type: 'number'),
    new OA\Property(property: 'parts', description: 'A season, by slot', type: 'array', items: new OA\Items(required: ['slot', 'count'], properties: [
        new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
        new OA\Property(property: 'count', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'unpriced', description: 'Parts a season whose price nobody knows: they are not in the money', type: 'number'),
    new OA\Property(property: 'hours', type: 'number'),
    new OA\Property(property: 'stops', type: 'number'),
    new OA\Property(property: 'lost_worst', description: 'Millimetres of depth lost at planting, on the worst row', type: 'number'),
    new OA\Property(property: 'lost_mean', type: 'number'),
    new OA\Property(property: 'waste', description: 'Worth of what was left of parts taken out', type: 'number'),
])]
#[OA\Schema(schema: 'PolicyTurn', required: ['of', 'factor', 'school', 'by'], properties: [
    new OA\Property(property: 'of', type: 'string', enum: TurnOf::class),
    new OA\Property(property: 'factor', description: 'Times what it is now; of a share, the share', type: 'number'),
    new OA\Property(property: 'school', description: 'That would be the cheapest', type: 'string', enum: Strategy::class),
    new OA\Property(property: 'by', description: 'Of a share, the policy that goes by it', type: 'string', enum: Strategy::class, nullable: true),
])]
#[OA\Schema(schema: 'PolicyRuled', required: ['school', 'slot', 'happened_at', 'by'], properties: [
    new OA\Property(property: 'school', type: 'string', enum: Strategy::class),
    new OA\Property(property: 'slot', ref: '#/components/schemas/Slot', nullable: true),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'by', type: 'string'),
])]
#[OA\Schema(schema: 'PolicyTable', required: ['lines', 'cheapest', 'next', 'ahead', 'turns', 'acres', 'thin', 'without_rate', 'without_stop_cost'], properties: [
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(ref: '#/components/schemas/PolicyLine')),
    new OA\Property(property: 'cheapest', type: 'string', enum: Strategy::class),
    new OA\Property(property: 'next', type: 'string', enum: Strategy::class, nullable: true),
    new OA\Property(property: 'ahead', description: 'Of the next, in the middle run', type: 'number'),
    new OA\Property(property: 'turns', type: 'array', items: new OA\Items(ref: '#/components/schemas/PolicyTurn')),
    new OA\Property(property: 'acres', description: 'Of a season', type: 'number'),
    new OA\Property(property: 'thin', description: 'Slots whose record says little: nominal lives, wide', type: 'array', items: new OA\Items(ref: '#/components/schemas/Slot')),
    new OA\Property(property: 'without_rate', description: 'Nobody has said what an hour costs', type: 'boolean'),
    new OA\Property(property: 'without_stop_cost', type: 'boolean'),
])]
#[OA\Schema(schema: 'Policies', required: ['seasons', 'school', 'own', 'table', 'ruled'], properties: [
    new OA\Property(property: 'seasons', type: 'integer'),
    new OA\Property(property: 'school', description: 'That rules', type: 'string', enum: Strategy::class),
    new OA\Property(property: 'own', description: 'The shop\'s own, by slot', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/SlotRule')),
    new OA\Property(property: 'table', description: 'Null where nobody knows how many acres a season brings', ref: '#/components/schemas/PolicyTable', nullable: true),
    new OA\Property(property: 'ruled', description: 'Which policy ruled since when, the newest first', type: 'array', items: new OA\Items(ref: '#/components/schemas/PolicyRuled')),
])]
final class PolicyShape
{
    /** @return array<string, mixed> */
    public static function of(Planter $planter, int $seasons, PolicyQuery $policies): array
    {
        $outcome = $policies->of($planter, $seasons);
        $lines = $outcome->table->lines ?? [];
        $school = static fn (?int $line): ?string => $line === null ? null : $lines[$line]->played->policy->school->value;

        return [
            'seasons' => $seasons,
            'school' => $policies->ruling($planter)->school->value,
            'own' => (object) $planter->workshop->own_policy,
            'table' => $outcome === null ? null : [
                'lines' => array_map(static fn (PolicyLine $line): array => self::line($line, $outcome->acres), $lines),
                'cheapest' => $school($outcome->table->cheapest),
                'next' => $school($outcome->table->next),
                'ahead' => round($outcome->table->ahead, 2),
                'turns' => array_map(static fn (Turn $turn): array => ['of' => $turn->of->value, 'factor' => round($turn->factor, 3), 'school' => $school($turn->line), 'by' => $school($turn->by)], $outcome->table->turns),
                'acres' => $outcome->acres,
                'thin' => array_map(static fn (Slot $slot): string => $slot->value, $outcome->thin),
                'without_rate' => $outcome->withoutRate,
                'without_stop_cost' => $outcome->withoutStopCost,
            ],
            'ruled' => PolicyChoice::query()->where('planter_id', $planter->id)->with('user')->orderByDesc('happened_at')->orderByDesc('id')->limit(50)->get()
                ->map(static fn (PolicyChoice $choice): array => [
                    'school' => $choice->school->value, 'slot' => $choice->slot?->value,
                    'happened_at' => $choice->happened_at->toIso8601ZuluString('millisecond'), 'by' => $choice->user->name,
                ])->all(),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(PolicyLine $line, float $acres): array
    {
        $played = $line->played;
        $parts = [];
        foreach ($played->used as $slot => $count) {
            $parts[] = ['slot' => $slot, 'count' => round($count, 1)];
        }

        return [
            'school' => $played->policy->school->value,
            'p10' => round($line->p10, 2),
            'p50' => round($line->p50, 2),
            'p90' => round($line->p90, 2),
            'acre' => round($line->p50 / $acres, 3),
            'cheapest' => round($line->cheapest, 3),
            'parts' => $parts,
            'unpriced' => round($played->unpriced, 1),
            'hours' => round($line->hours, 1),
            'stops' => round($line->stops, 2),
            'lost_worst' => round($played->lostWorst, 2),
            'lost_mean' => round($played->lostMean, 2),
            'waste' => round($played->waste, 2),
        ];
    }
}
