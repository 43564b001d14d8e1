<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Projections\ReasonShape;
use App\Queries\Board;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Band;
use Ustrel\Core\Spec\Bands;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Plausibility;

/** What a device needs to judge a place by itself: verdict bands and doubts. */
#[OA\Schema(schema: 'Band', required: ['from_mm', 'verdict', 'reasons'], properties: [
    new OA\Property(property: 'from_mm', description: 'Included; up to, not including, the next band', type: 'number'),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
])]
#[OA\Schema(schema: 'Doubt', required: ['code', 'ref_mm', 'below_mm', 'above_mm'], properties: [
    new OA\Property(property: 'code', description: 'Worded under doubt.CODE in lang/en.json', type: 'string'),
    new OA\Property(property: 'ref_mm', type: 'number'),
    new OA\Property(property: 'below_mm', description: 'Values below are hard to believe', type: 'number', nullable: true),
    new OA\Property(property: 'above_mm', description: 'Values above are hard to believe', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'RowDoubt', description: 'What the other rows make hard to believe, by check', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Doubt'))]
final class GuideShape
{
    /** @return list<array<string, mixed>> */
    public static function bands(Check $check, Place $place, Board $board): array
    {
        $bands = Bands::compile($check->rule, ($board->last[$place->key()] ?? null)?->value);

        return array_map(static fn (Band $band): array => [
            'from_mm' => $band->from / 1_000_000,
            'verdict' => $band->judgement->verdict->value,
            'reasons' => array_map(ReasonShape::of(...), $band->judgement->reasons),
        ], $bands->bands);
    }

    /** @return list<array<string, mixed>> */
    public static function doubts(Check $check, Place $place, Board $board): array
    {
        $last = ($board->last[$place->key()] ?? null)?->value;

        return array_map(self::doubt(...), Plausibility::ofPlace($check->rule, $last));
    }

    /** @return array<string, array<string, mixed>> by check key */
    public static function rowDoubts(Board $board): array
    {
        $readings = [];
        foreach ($board->current as $key => $reading) {
            if ($reading->value !== null) {
                $readings[explode(':', $key)[1]][] = $reading->value;
            }
        }

        return array_map(self::doubt(...), array_filter(array_map(Plausibility::ofRows(...), $readings)));
    }

    /** @return array<string, mixed> */
    private static function doubt(Doubt $doubt): array
    {
        return [
            'code' => $doubt->code->value,
            'ref_mm' => $doubt->reference->toMillimetres(),
            'below_mm' => $doubt->below?->toMillimetres(),
            'above_mm' => $doubt->above?->toMillimetres(),
        ];
    }
}
