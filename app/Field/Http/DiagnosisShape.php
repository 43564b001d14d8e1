<?php

declare(strict_types=1);

namespace App\Field\Http;

use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Diagnosis\Diagnosis;
use Ustrel\Core\Field\Diagnosis\Ranked;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKind;

#[OA\Schema(schema: 'Symptom', type: 'string', enum: Symptom::class)]
#[OA\Schema(schema: 'CauseLook', required: ['check', 'side', 'figure', 'of_planter'], properties: [
    new OA\Property(property: 'of_planter', description: 'It is made once for the whole planter', type: 'boolean'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'figure', description: 'It is measured; else its condition is looked at', type: 'boolean'),
])]
#[OA\Schema(schema: 'Diagnosis', required: ['seen', 'absent', 'causes', 'first', 'apart'], properties: [
    new OA\Property(property: 'seen', type: 'array', items: new OA\Items(ref: '#/components/schemas/Symptom')),
    new OA\Property(property: 'absent', type: 'array', items: new OA\Items(ref: '#/components/schemas/Symptom')),
    new OA\Property(property: 'causes', description: 'The likeliest first; none without a symptom', type: 'array', items: new OA\Items(required: ['key', 'chance', 'why', 'because', 'record', 'against', 'looks'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'chance', description: '0 to 1', type: 'number'),
        new OA\Property(property: 'why', type: 'string'),
        new OA\Property(property: 'because', description: 'Seen, and more often with it than without', type: 'array', items: new OA\Items(ref: '#/components/schemas/Symptom')),
        new OA\Property(property: 'record', description: 'Checks of this row that speak for it', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey')),
        new OA\Property(property: 'against', description: 'Checks of this row that speak against it', type: 'array', items: new OA\Items(ref: '#/components/schemas/CheckKey')),
        new OA\Property(property: 'looks', description: 'Checks that this row unit has', type: 'array', items: new OA\Items(ref: '#/components/schemas/CauseLook')),
    ], type: 'object')),
    new OA\Property(property: 'first', description: 'What to look at first: it tells most for a minute', required: ['key', 'minutes'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'minutes', type: 'number'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'apart', description: 'The two likeliest cannot be told apart without looking at this one', type: 'string', nullable: true),
])]
final class DiagnosisShape
{
    private const SHOWN = 6;

    /** Causes less likely than this are not listed, but for the first three. */
    private const LEAST = 0.01;

    /**
     * @param  array<string, Check>  $checks  of the row unit, by key
     * @param  list<Symptom>  $seen
     * @param  list<Symptom>  $absent
     * @return array<string, mixed>
     */
    public static function of(Diagnosis $diagnosis, array $checks, array $seen, array $absent): array
    {
        return [
            'seen' => array_column($seen, 'value'), 'absent' => array_column($absent, 'value'),
            'causes' => array_map(static fn (Ranked $of): array => self::cause($of, $checks), self::listed($diagnosis->ranked)),
            'first' => $diagnosis->first === null ? null : ['key' => $diagnosis->first->key, 'minutes' => $diagnosis->first->minutes],
            'apart' => $diagnosis->apart?->key,
        ];
    }

    /**
     * @param  list<Ranked>  $ranked
     * @return list<Ranked>
     */
    private static function listed(array $ranked): array
    {
        return array_values(array_filter(array_slice($ranked, 0, self::SHOWN), static fn (Ranked $of, int $at): bool => $at < 3 || $of->chance >= self::LEAST, ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param  array<string, Check>  $checks
     * @return array<string, mixed>
     */
    private static function cause(Ranked $of, array $checks): array
    {
        $looks = [];
        foreach ($of->cause->checks as $key) {
            $check = $checks[$key->value] ?? null;
            if ($check !== null) {
                $looks[] = ['check' => $key->value, 'side' => $check->sides[0]->value, 'figure' => $check->kind !== CheckKind::Condition, 'of_planter' => $check->isOfWholePlanter()];
            }
        }

        return [
            'key' => $of->cause->key, 'chance' => round($of->chance, 3), 'why' => $of->cause->why, 'because' => array_column($of->because, 'value'),
            'record' => array_column($of->record, 'value'), 'against' => array_column($of->against, 'value'), 'looks' => $looks,
        ];
    }
}
