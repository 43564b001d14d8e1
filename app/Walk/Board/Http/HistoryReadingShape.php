<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Walk\Board\HistoryReading;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HistoryReading', required: ['id', 'result', 'entry', 'typed', 'confirmed', 'taken_at', 'taken_by', 'season', 'kind', 'holds', 'verdict', 'reasons'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'result', ref: '#/components/schemas/Result'),
    new OA\Property(property: 'entry', ref: '#/components/schemas/Entry'),
    new OA\Property(property: 'typed', type: 'string', nullable: true),
    new OA\Property(property: 'confirmed', type: 'boolean'),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'taken_by', type: 'string'),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'kind', ref: '#/components/schemas/WalkKind'),
    new OA\Property(property: 'holds', description: 'False once a later reading of the same walk has taken its place', type: 'boolean'),
    new OA\Property(property: 'verdict', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Verdict')]),
    new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
], allOf: [new OA\Schema(ref: '#/components/schemas/Answer')])]
final class HistoryReadingShape
{
    /** @return array<string, mixed> */
    public static function of(HistoryReading $reading): array
    {
        return [
            'id' => $reading->id,
            'result' => $reading->result,
            'entry' => $reading->entry,
            ...$reading->stored->plain(),
            'typed' => $reading->typed,
            'confirmed' => $reading->confirmed,
            'taken_at' => CarbonImmutable::parse($reading->takenAt)->toIso8601ZuluString(),
            'taken_by' => $reading->takenBy,
            'season' => $reading->season,
            'kind' => $reading->kind,
            'holds' => $reading->holds,
            'verdict' => $reading->verdict,
            'reasons' => $reading->reasons,
        ];
    }
}
