<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Walk\Board\RibbonRow;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Judging\Verdict;

#[OA\Schema(schema: 'Verdict', type: 'string', enum: Verdict::class)]
#[OA\Schema(schema: 'RibbonRow', required: ['row', 'verdict', 'life_left', 'checked'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'expected', description: 'What a walk is expected to find; missing once somebody has looked, or where nothing is known', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'life_left', description: '0 to 1, of the worst part', type: 'number', nullable: true),
    new OA\Property(property: 'checked', description: 'Places of the row looked at', type: 'integer'),
])]
final class RibbonRowResource
{
    /** @return array<string, mixed> */
    public static function shape(RibbonRow $row): array
    {
        return [
            'row' => $row->row,
            'verdict' => $row->verdict->value,
            'life_left' => $row->lifeLeft,
            'checked' => $row->checked,
        ] + ($row->expected === null ? [] : ['expected' => $row->expected->value]);
    }
}
