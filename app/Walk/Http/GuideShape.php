<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Walk\Board\Board;
use App\Walk\DepthAims;
use App\Walk\ReasonShape;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Band;
use Ustrel\Core\Spec\Judging\Bands;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Plausibility;

/** What a device needs to judge a figure by itself: verdict bands and doubts. */
#[OA\Schema(schema: 'Band', required: ['from', 'verdict', 'reasons'], properties: [
    new OA\Property(property: 'from', description: 'In the check\'s unit, included; up to, not including, the next band', type: 'number'),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
])]
#[OA\Schema(schema: 'Doubt', required: ['code', 'ref', 'unit', 'below', 'above'], properties: [
    new OA\Property(property: 'code', description: 'Worded under doubt.CODE in lang/en', type: 'string'),
    new OA\Property(property: 'ref', type: 'number'),
    new OA\Property(property: 'unit', ref: '#/components/schemas/Unit'),
    new OA\Property(property: 'below', description: 'Values below are hard to believe', type: 'number', nullable: true),
    new OA\Property(property: 'above', description: 'Values above are hard to believe', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'RowDoubts', description: 'What the other rows make hard to believe, by check', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Doubt'))]
#[OA\Schema(schema: 'Bands', type: 'array', items: new OA\Items(ref: '#/components/schemas/Band'))]
#[OA\Schema(schema: 'RowBands', description: 'The bands of the checks that compare rows, by what the rows read now: by check, or by check and row with a space between where each row has an aim of its own', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Bands'))]
final class GuideShape
{
    /** @return list<array<string, mixed>> */
    public static function bands(Check $check, Background $background): array
    {
        return array_map(static fn (Band $band): array => [
            'from' => $band->from / $check->unit->stepsPerUnit(),
            'verdict' => $band->judgement->verdict->value,
            'reasons' => array_map(ReasonShape::of(...), $band->judgement->reasons),
        ], Bands::compile($check->rule, $check->unit, $background)->bands);
    }

    /** @return list<array<string, mixed>> */
    public static function doubts(Check $check, ?Quantity $last): array
    {
        return array_map(self::doubt(...), Plausibility::ofPlace($check->rule, $last));
    }

    /** @return array<string, array<string, mixed>> by check key */
    public static function rowDoubts(Board $board): array
    {
        $figures = array_intersect_key($board->figures(), $board->sheet->checks);
        $doubts = array_map(static fn (array $readings, string $check): ?Doubt => Plausibility::ofRows($readings, $board->rowCount * count($board->sheet->checks[$check]->sides)), $figures, array_keys($figures));

        return array_map(self::doubt(...), array_filter(array_combine(array_keys($figures), $doubts)));
    }

    /** @return array<string, list<array<string, mixed>>> by check key */
    public static function rowBands(Board $board): array
    {
        $figures = $board->figures();
        $comparing = array_filter($board->sheet->checks, static fn (Check $check): bool => $check->comparesRows() && ! $check->hasAims());

        return self::aimBands($board) + array_map(
            static fn (Check $check): array => self::bands($check, Background::ofRows(null, $figures[$check->key->value] ?? [])),
            $comparing,
        );
    }

    /** @return array<string, list<array<string, mixed>>> by check key and row: each row has an aim of its own */
    private static function aimBands(Board $board): array
    {
        $school = $board->walk === null ? $board->planter->workshop->depth_school : $board->walk->depth_school;
        $checks = array_filter(array_map($board->sheet->check(...), DepthAims::CHECKS), static fn (?Check $check): bool => $check !== null && DepthAims::count($check->key, $school));
        $aims = $checks === [] ? [] : DepthAims::of($board->rowCount, $school, static fn (string $at): ?Quantity => ($board->current[$at] ?? null)?->quantity());
        $figures = $board->figures();
        $bands = [];
        foreach ($checks as $check) {
            foreach ($aims as $row => $aim) {
                $bands["{$check->key->value} {$row}"] = self::bands($check, Background::ofRows(null, $figures[$check->key->value] ?? [], aim: $aim));
            }
        }

        return $bands;
    }

    /** @return array<string, mixed> */
    private static function doubt(Doubt $doubt): array
    {
        $unit = $doubt->reference->unit();
        $value = static fn (?int $steps): ?float => $steps === null ? null : $steps / $unit->stepsPerUnit();

        return ReasonShape::coded($doubt->code->value, $doubt->reference) + [
            'below' => $value($doubt->below),
            'above' => $value($doubt->above),
        ];
    }
}
