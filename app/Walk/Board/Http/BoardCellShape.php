<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Walk\Board\Board;
use App\Walk\Board\CurrentReading;
use App\Walk\Board\StoredAnswer;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** A place of a board, which has thousands: only what there is to say. */
#[OA\Schema(schema: 'BoardAnswer', properties: [
    new OA\Property(property: 'value', description: 'In the check\'s unit; missing where no figure was read', type: 'number'),
    new OA\Property(property: 'state', ref: '#/components/schemas/State'),
    new OA\Property(property: 'chips', description: 'Missing where none', type: 'array', items: new OA\Items(ref: '#/components/schemas/Chip')),
])]
#[OA\Schema(schema: 'BoardReading', required: ['verdict'], properties: [
    new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
    new OA\Property(property: 'reasons', description: 'Missing where none', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
    new OA\Property(property: 'result', description: 'Missing where it is recorded', ref: '#/components/schemas/Result'),
], allOf: [new OA\Schema(ref: '#/components/schemas/BoardAnswer')])]
#[OA\Schema(schema: 'BoardLast', required: ['season'], properties: [
    new OA\Property(property: 'season', type: 'integer'),
], allOf: [new OA\Schema(ref: '#/components/schemas/BoardAnswer')])]
#[OA\Schema(schema: 'BoardCell', required: ['row', 'check', 'side'], properties: [
    new OA\Property(property: 'row', description: '0 for the planter as a whole', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'now', description: 'Missing while unchecked', ref: '#/components/schemas/BoardReading'),
    new OA\Property(property: 'last', description: 'The newest earlier season\'s reading, where this walk has not found the place sound', ref: '#/components/schemas/BoardLast'),
])]
final class BoardCellShape
{
    /** @return array<string, mixed> */
    public static function of(Place $place, Board $board): array
    {
        $key = $place->key();
        $cell = ['row' => $place->row, 'check' => $place->check->value, 'side' => $place->side->value];
        $now = $board->current[$key] ?? null;
        $last = $board->last[$key] ?? null;
        if ($now !== null) {
            $cell['now'] = self::now($now);
        }
        if ($last !== null) {
            $cell['last'] = ['season' => $last->season, ...self::answer($last->stored)];
        }

        return $cell;
    }

    /** @return array<string, mixed> */
    private static function now(CurrentReading $reading): array
    {
        $now = ['verdict' => $reading->verdict->value, ...self::answer($reading->stored)];
        $reasons = $reading->reasons();
        if ($reasons !== []) {
            $now['reasons'] = $reasons;
        }
        if ($reading->result !== Result::Recorded) {
            $now['result'] = $reading->result->value;
        }

        return $now;
    }

    /** @return array<string, mixed> */
    private static function answer(StoredAnswer $stored): array
    {
        return array_filter($stored->plain(), static fn (mixed $part): bool => $part !== null && $part !== []);
    }
}
