<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Walk\Board\Board;
use App\Walk\Board\CurrentReading;
use App\Walk\Board\LastReading;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

#[OA\Schema(schema: 'Result', type: 'string', enum: Result::class)]
#[OA\Schema(schema: 'Entry', type: 'string', enum: Entry::class)]
#[OA\Schema(schema: 'Reason', required: ['code', 'ref', 'unit'], properties: [
    new OA\Property(property: 'code', description: 'Worded in lang/en under reason.CODE, or under CODE itself where it has a dot', type: 'string'),
    new OA\Property(property: 'ref', description: 'The figure that the reading was held against', type: 'number', nullable: true),
    new OA\Property(property: 'unit', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Unit')]),
    new OA\Property(property: 'on', description: 'The day of what is told', type: 'string', format: 'date'),
])]
#[OA\Schema(schema: 'Answer', required: ['value', 'state', 'chips'], properties: [
    new OA\Property(property: 'value', description: 'In the check\'s unit; null where no figure was read', type: 'number', nullable: true),
    new OA\Property(property: 'state', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/State')]),
    new OA\Property(property: 'chips', type: 'array', items: new OA\Items(ref: '#/components/schemas/Chip')),
])]
#[OA\Schema(schema: 'CurrentReading', required: ['id', 'result', 'verdict', 'reasons', 'taken_at'], properties: [
    new OA\Property(property: 'id', description: 'Of the reading; null where the place was given another part, or set anew, since', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'result', ref: '#/components/schemas/Result'),
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
    new OA\Property(property: 'taken_at', type: 'string'),
], allOf: [new OA\Schema(ref: '#/components/schemas/Answer')])]
#[OA\Schema(schema: 'LastReading', required: ['season'], properties: [
    new OA\Property(property: 'season', type: 'integer'),
], allOf: [new OA\Schema(ref: '#/components/schemas/Answer')])]
#[OA\Schema(schema: 'Cell', required: ['row', 'check', 'side', 'now', 'last'], properties: [
    new OA\Property(property: 'row', description: '0 for the planter as a whole', type: 'integer'),
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
            ...$reading->stored->plain(),
            'id' => $reading->readingId,
            'result' => $reading->result->value,
            'verdict' => $reading->verdict->value,
            'reasons' => $reading->reasons(),
            'taken_at' => $reading->takenAt,
        ];
    }

    /** @return array<string, mixed>|null */
    private static function last(?LastReading $last): ?array
    {
        return $last === null ? null : [...$last->stored->plain(), 'season' => $last->season];
    }
}
