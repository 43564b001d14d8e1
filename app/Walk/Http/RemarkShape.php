<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Walk\Board\Remark;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\NoteKind;

#[OA\Schema(schema: 'Remark', required: ['id', 'walk', 'row', 'check', 'side', 'season', 'taken_at', 'taken_by'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'walk', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'taken_by', type: 'string'),
])]
#[OA\Schema(schema: 'NoteKind', description: 'hard_joint: seized or hard to open; the next walks warn of it', type: 'string', enum: NoteKind::class)]
#[OA\Schema(schema: 'Note', required: ['kind', 'text'], properties: [
    new OA\Property(property: 'kind', ref: '#/components/schemas/NoteKind'),
    new OA\Property(property: 'text', type: 'string'),
], allOf: [new OA\Schema(ref: '#/components/schemas/Remark')])]
#[OA\Schema(schema: 'Photo', required: ['width', 'height'], properties: [
    new OA\Property(property: 'width', type: 'integer'),
    new OA\Property(property: 'height', type: 'integer'),
], allOf: [new OA\Schema(ref: '#/components/schemas/Remark')])]
final class RemarkShape
{
    /** @return array<string, mixed> */
    public static function note(Remark $note): array
    {
        return self::remark($note) + ['kind' => $note->kind?->value, 'text' => $note->text];
    }

    /** @return array<string, mixed> */
    public static function photo(Remark $photo): array
    {
        return self::remark($photo) + ['width' => $photo->width, 'height' => $photo->height];
    }

    /** @return array<string, mixed> */
    private static function remark(Remark $remark): array
    {
        return [
            'id' => $remark->id,
            'walk' => $remark->walk,
            'row' => $remark->place->row,
            'check' => $remark->place->check->value,
            'side' => $remark->place->side->value,
            'season' => $remark->season,
            'taken_at' => CarbonImmutable::parse($remark->takenAt)->toIso8601ZuluString(),
            'taken_by' => $remark->takenBy,
        ];
    }
}
