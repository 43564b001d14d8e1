<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Walk\Http\GuideShape;
use App\Walk\ReasonShape;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Figure;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\RuleName;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;

#[OA\Schema(schema: 'CheckKey', type: 'string', enum: CheckKey::class)]
#[OA\Schema(schema: 'CheckKind', type: 'string', enum: CheckKind::class)]
#[OA\Schema(schema: 'Chip', type: 'string', enum: Chip::class)]
#[OA\Schema(schema: 'Side', type: 'string', enum: Side::class)]
#[OA\Schema(schema: 'State', type: 'string', enum: State::class)]
#[OA\Schema(schema: 'Station', description: 'In the order of the row unit, front to back', type: 'string', enum: Station::class)]
#[OA\Schema(schema: 'Unit', type: 'string', enum: Unit::class)]
#[OA\Schema(schema: 'Figure', required: ['value', 'unit', 'typed', 'source'], properties: [
    new OA\Property(property: 'value', type: 'number'),
    new OA\Property(property: 'unit', ref: '#/components/schemas/Unit'),
    new OA\Property(property: 'typed', type: 'string'),
    new OA\Property(property: 'source', type: 'string'),
])]
#[OA\Schema(schema: 'StateMeaning', required: ['state', 'verdict', 'reasons'], properties: [
    new OA\Property(property: 'state', ref: '#/components/schemas/State'),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
])]
#[OA\Schema(schema: 'ChipMeaning', required: ['chip', 'verdict'], properties: [
    new OA\Property(property: 'chip', ref: '#/components/schemas/Chip'),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
])]
#[OA\Schema(schema: 'OwnWords', description: 'What a check of the shop\'s own is called, and how it is made', required: ['name', 'how'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'how', type: 'string'),
])]
#[OA\Schema(schema: 'Check', required: ['key', 'station', 'whole_planter', 'kind', 'unit', 'rule', 'sides', 'figures', 'marks', 'bands', 'doubts', 'states', 'chips', 'compares_rows', 'sides_within', 'running', 'own'], properties: [
    new OA\Property(property: 'key', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'station', ref: '#/components/schemas/Station'),
    new OA\Property(property: 'whole_planter', description: 'Checked once, as row 0', type: 'boolean'),
    new OA\Property(property: 'kind', ref: '#/components/schemas/CheckKind'),
    new OA\Property(property: 'unit', description: 'Of its figure; null where it takes none', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Unit')]),
    new OA\Property(property: 'rule', type: 'string', enum: RuleName::class),
    new OA\Property(property: 'sides', type: 'array', items: new OA\Items(ref: '#/components/schemas/Side')),
    new OA\Property(property: 'figures', description: 'Of the spec sheet, by name', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Figure')),
    new OA\Property(property: 'marks', description: 'What to name on a scale, by figure name, in the check\'s unit', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
    new OA\Property(property: 'bands', description: 'Where nothing is known of last time; empty where no figure is taken', type: 'array', items: new OA\Items(ref: '#/components/schemas/Band')),
    new OA\Property(property: 'doubts', description: 'On any row', type: 'array', items: new OA\Items(ref: '#/components/schemas/Doubt')),
    new OA\Property(property: 'states', description: 'What can be answered where no figure is taken', type: 'array', items: new OA\Items(ref: '#/components/schemas/StateMeaning')),
    new OA\Property(property: 'chips', description: 'Reasons to tick, each with the verdict that it amounts to at least', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChipMeaning')),
    new OA\Property(property: 'compares_rows', description: 'A row is judged by the median of all rows', type: 'boolean'),
    new OA\Property(property: 'sides_within', description: 'By so much the two sides may differ, or both are to be changed; null where they are not held against each other', type: 'number', nullable: true),
    new OA\Property(property: 'own', description: 'Where it is the shop\'s own', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/OwnWords')]),
    new OA\Property(property: 'running', description: 'Made with the fan, the pump or the drives running', type: 'boolean'),
])]
final class CheckShape
{
    /**
     * @param  list<Quantity>  $rows  what the rows read now
     * @return array<string, mixed>
     */
    public static function of(Check $check, array $rows = []): array
    {
        $takesFigure = $check->kind->takesFigure();

        return [
            'key' => $check->key->value,
            'station' => $check->station->value,
            'whole_planter' => $check->isOfWholePlanter(),
            'kind' => $check->kind->value,
            'unit' => $takesFigure ? $check->unit->value : null,
            'rule' => $check->definition->rule->value,
            'sides' => array_map(static fn (Side $side): string => $side->value, $check->sides),
            'figures' => (object) array_map(self::figure(...), $check->figures),
            'marks' => (object) array_map($check->unit->valueOf(...), $check->rule->marks()),
            'bands' => $takesFigure ? GuideShape::bands($check, Background::ofRows(null, $rows)) : [],
            'doubts' => $takesFigure ? GuideShape::doubts($check, null) : [],
            'states' => array_map(static fn (State $state): array => self::state($check, $state), $check->kind->states()),
            'chips' => array_map(
                static fn (string $chip, Verdict $verdict): array => ['chip' => $chip, 'verdict' => $verdict->value],
                array_keys($check->definition->chips),
                array_values($check->definition->chips),
            ),
            'compares_rows' => $check->comparesRows(),
            'sides_within' => ($within = $check->alikeWithin()) === null ? null : $within->unit()->valueOf($within),
            'running' => $check->definition->isRunning,
            'own' => $check->own === null ? null : ['name' => $check->own->name, 'how' => $check->own->how],
        ];
    }

    /** @return array<string, mixed> */
    public static function figure(Figure $figure): array
    {
        $unit = $figure->quantity->unit();

        return [
            'value' => $unit->valueOf($figure->quantity),
            'unit' => $unit->value,
            'typed' => $figure->typed,
            'source' => $figure->source,
        ];
    }

    /** @return array<string, mixed> */
    private static function state(Check $check, State $state): array
    {
        $judgement = $check->judge(Answer::state($state), Background::of());

        return [
            'state' => $state->value,
            'verdict' => $judgement->verdict->value,
            'reasons' => array_map(ReasonShape::of(...), $judgement->reasons),
        ];
    }
}
