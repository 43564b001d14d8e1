<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Models\Parts\PartType;
use App\Parts\PartLives;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Life\Life;
use Ustrel\Core\Parts\Life\LifeComparison;
use Ustrel\Core\Parts\Life\LifeCurve;
use Ustrel\Core\Parts\Life\LifeStep;

#[OA\Schema(schema: 'LifeCurve', required: ['part_type_id', 'name', 'parts', 'left_out', 'ended', 'longest_m', 'median_m', 'median_low_m', 'median_high_m', 'steps'], properties: [
    new OA\Property(property: 'part_type_id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'parts', description: 'That were ever fitted and are known to have run so far', type: 'integer'),
    new OA\Property(property: 'left_out', description: 'Parts of which it is not on record how far they had run', type: 'integer'),
    new OA\Property(property: 'ended', description: 'Of which worn out or failed; the rest was changed early or still runs', type: 'integer'),
    new OA\Property(property: 'longest_m', description: 'Furrow metres that the longest-running part has reached', type: 'number'),
    new OA\Property(property: 'median_m', description: 'What half of them reach; null where more than half have not ended', type: 'number', nullable: true),
    new OA\Property(property: 'median_low_m', description: '95 % interval; null where too few have ended to tell', type: 'number', nullable: true),
    new OA\Property(property: 'median_high_m', description: '95 % interval; null where it is open, or too few have ended', type: 'number', nullable: true),
    new OA\Property(property: 'steps', type: 'array', items: new OA\Items(required: ['ran_m', 'share', 'low', 'high', 'at_risk'], properties: [
        new OA\Property(property: 'ran_m', type: 'number'),
        new OA\Property(property: 'share', description: 'Still running from here on', type: 'number'),
        new OA\Property(property: 'low', description: '95 % interval; null where too few have ended to tell', type: 'number', nullable: true),
        new OA\Property(property: 'high', type: 'number', nullable: true),
        new OA\Property(property: 'at_risk', description: 'Parts still running just before', type: 'integer'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'PartLives', required: ['curve', 'against', 'comparison'], properties: [
    new OA\Property(property: 'curve', ref: '#/components/schemas/LifeCurve'),
    new OA\Property(property: 'against', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/LifeCurve')]),
    new OA\Property(property: 'comparison', description: 'By the log-rank test, its chance by shuffling', required: ['clear', 'too_few', 'longer', 'luck'], properties: [
        new OA\Property(property: 'clear', description: 'The lives differ by more than luck explains', type: 'boolean'),
        new OA\Property(property: 'too_few', description: 'Of either type too few have ended to tell', type: 'boolean'),
        new OA\Property(property: 'longer', description: 'The part type that lasts longer; null where it is not clear', type: 'integer', nullable: true),
        new OA\Property(property: 'luck', description: 'Chance of a difference this great if both lasted alike; null where too few have ended', type: 'number', nullable: true),
    ], type: 'object', nullable: true),
])]
final class LivesShape
{
    /** @return array<string, mixed> */
    public static function of(PartType $type, PartLives $lives, ?PartType $other, ?PartLives $othersLives): array
    {
        $comparison = $othersLives === null ? null : LifeComparison::of($lives->lives, $othersLives->lives);

        return [
            'curve' => self::curve($type, $lives),
            'against' => $other === null || $othersLives === null ? null : self::curve($other, $othersLives),
            'comparison' => $comparison === null ? null : [
                'clear' => $comparison->isClear(),
                'too_few' => $comparison->tooFew,
                'longer' => $comparison->isClear() ? ($comparison->hazard < 1 ? $type->id : $other?->id) : null,
                'luck' => $comparison->luck === null ? null : round($comparison->luck, 4),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function curve(PartType $type, PartLives $lives): array
    {
        $curve = LifeCurve::of($lives->lives);

        return [
            'part_type_id' => $type->id,
            'name' => $type->name,
            'parts' => $curve->parts,
            'left_out' => $lives->leftOut,
            'ended' => $curve->ended,
            'longest_m' => max([0.0, ...array_map(static fn (Life $life): float => $life->ran, $lives->lives)]),
            'median_m' => $curve->median(),
            'median_low_m' => $curve->medianLow(),
            'median_high_m' => $curve->medianHigh(),
            'steps' => array_map(static fn (LifeStep $step): array => [
                'ran_m' => $step->ran, 'share' => $step->share, 'low' => $step->low, 'high' => $step->high, 'at_risk' => $step->atRisk,
            ], $curve->steps),
        ];
    }
}
