<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Walk\Board\StoredAnswer;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use stdClass;

/** @property stdClass $resource a row of HistoryQuery */
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
final class HistoryReadingResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $reading = $this->resource;

        return [
            'id' => $reading->id,
            'result' => $reading->result,
            'entry' => $reading->entry,
            ...StoredAnswer::plain($reading),
            'typed' => $reading->typed,
            'confirmed' => $reading->confirmed,
            'taken_at' => CarbonImmutable::parse($reading->taken_at)->toIso8601ZuluString(),
            'taken_by' => $reading->taken_by,
            'season' => $reading->season,
            'kind' => $reading->kind,
            'holds' => $reading->holds !== null,
            'verdict' => $reading->verdict,
            'reasons' => $reading->reasons === null ? [] : json_decode($reading->reasons, true),
        ];
    }
}
