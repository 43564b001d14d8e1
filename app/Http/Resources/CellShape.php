<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Queries\Board;
use App\Queries\CurrentReading;
use App\Queries\LastReading;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\Place;

#[OA\Schema(schema: 'Reason', required: ['code', 'ref_mm'], properties: [
    new OA\Property(property: 'code', description: 'Worded under reason.CODE in lang/en.json', type: 'string'),
    new OA\Property(property: 'ref_mm', description: 'The figure that the reading was held against', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'CurrentReading', required: ['id', 'result', 'mm', 'verdict', 'reasons', 'taken_at'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'result', type: 'string', enum: ['measured', 'not_fitted']),
    new OA\Property(property: 'mm', type: 'number', nullable: true),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
    new OA\Property(property: 'taken_at', type: 'string'),
])]
#[OA\Schema(schema: 'LastReading', required: ['mm', 'season'], properties: [
    new OA\Property(property: 'mm', type: 'number'),
    new OA\Property(property: 'season', type: 'integer'),
])]
#[OA\Schema(schema: 'Cell', required: ['row', 'check', 'side', 'now', 'last'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'now', description: 'Null while unchecked', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/CurrentReading')]),
    new OA\Property(property: 'last', description: 'The newest earlier season\'s reading', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/LastReading')]),
])]
final class CellShape
{
    /** @return array<string, mixed> */
    public static function of(Place $place, Board $board): array
    {
        $key = $place->key();

        return [
            'row' => $place->row,
            'check' => $place->check->value,
            'side' => $place->side->value,
            'now' => self::now($board->current[$key] ?? null),
            'last' => self::last($board->last[$key] ?? null),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function now(?CurrentReading $reading): ?array
    {
        return $reading === null ? null : [
            'id' => $reading->readingId,
            'result' => $reading->result->value,
            'mm' => $reading->value?->toMillimetres(),
            'verdict' => $reading->verdict->value,
            'reasons' => $reading->reasons,
            'taken_at' => $reading->takenAt,
        ];
    }

    /** @return array<string, mixed>|null */
    private static function last(?LastReading $last): ?array
    {
        return $last === null ? null : ['mm' => $last->value->toMillimetres(), 'season' => $last->season];
    }
}
